import { hierarchy, tree, type HierarchyPointNode } from 'd3-hierarchy'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import type { PedigreePage } from '../api/types'

type Ancestor = PedigreePage['ancestors'][number]
type Node = { path: string; who?: Ancestor; above: Node[] }

const COLUMN = 170
const ROW = 30

const FILL: Record<Ancestor['nearness'], string> = {
  SELF: 'var(--crown)',
  PARENT_OR_SISTER: 'var(--crown)',
  HALF_SISTER: 'var(--ink)',
  FAR: 'var(--ink-3)',
  STRANGER: 'none',
}

/** Those she descends from, from the left to the right; a drone mother hangs beneath the queen whose mate was her drone. */
export function Pedigree({ page, name }: { page: PedigreePage; name: string }) {
  const { t } = useTranslation()
  const navigate = useNavigate()
  if (page.ancestors.length === 0) return <p>{t('pedigree.nobody')}</p>
  const laid = tree<Node>().nodeSize([ROW, COLUMN])(
    hierarchy(nodesOf(page.ancestors), (node) => node.above),
  )
  const all = laid.descendants()
  const top = Math.min(...all.map((one) => one.x)) - ROW
  const bottom = Math.max(...all.map((one) => one.x)) + ROW
  const right = Math.max(...all.map((one) => one.y)) + COLUMN
  return (
    <div className="overflow-x-auto">
      <svg
        viewBox={`-8 ${top} ${right} ${bottom - top}`}
        width={right}
        height={bottom - top}
        role="group"
        aria-label={t('pedigree.of', { queen: name })}
      >
        {laid.links().map((link) => (
          <path
            key={link.target.data.path}
            d={`M${link.source.y + 120} ${link.source.x} H${link.target.y - 16} V${link.target.x} H${link.target.y - 8}`}
            fill="none"
            stroke="var(--ink-3)"
            strokeDasharray={link.target.data.path.endsWith('D') ? '2 3' : undefined}
          />
        ))}
        {all.map((node) => (
          <Mark
            key={node.data.path}
            node={node}
            name={name}
            onOpen={(id) => void navigate(`/queens/${id}`)}
          />
        ))}
      </svg>
    </div>
  )
}

function Mark({
  node,
  name,
  onOpen,
}: {
  node: HierarchyPointNode<Node>
  name: string
  onOpen: (id: string) => void
}) {
  const { t } = useTranslation()
  const { who, path } = node.data
  const said = who ? who.name || who.code : name
  const words = who
    ? t('pedigree.says', {
        queen: said,
        as: t(path.endsWith('D') ? 'pedigree.droneMother' : 'pedigree.mother'),
        near: who.nearnessText,
        line: who.line,
      })
    : said
  const born = who?.born === undefined ? '' : ` ${String(who.born).slice(2)}`
  return (
    <g
      transform={`translate(${node.y} ${node.x})`}
      {...(who && {
        role: 'link',
        tabIndex: 0,
        'aria-label': words,
        className: 'cursor-pointer',
        onClick: () => onOpen(who.id),
        onKeyDown: (event: React.KeyboardEvent) => event.key === 'Enter' && onOpen(who.id),
      })}
    >
      <title>{words}</title>
      <circle r={5} fill={FILL[who?.nearness ?? 'SELF']} stroke="var(--ink-3)" strokeWidth={1} />
      <text x={10} dy="0.35em" fontSize={14} fontWeight={who ? 400 : 700} fill="var(--ink)">
        {said.length > 13 ? `${said.slice(0, 12)}…` : said}
        <tspan fill="var(--ink-2)" fontSize={12}>
          {born}
          {who?.again ? ` ${t('pedigree.again')}` : ''}
        </tspan>
      </text>
    </g>
  )
}

/** The list of ancestors as a tree: an ancestor's path without its last letter is that of who descends from her. */
function nodesOf(ancestors: Ancestor[]): Node {
  const root: Node = { path: '', above: [] }
  const byPath = new Map<string, Node>([['', root]])
  for (const who of ancestors) {
    const node: Node = { path: who.path, who, above: [] }
    byPath.set(who.path, node)
    byPath.get(who.path.slice(0, -1))?.above.push(node)
  }
  return root
}
