import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { languages } from '../../catalogue'

const ROOT = fileURLToPath(new URL('../../../', import.meta.url))
const SOURCES = ['web/src', 'core/src/main/java', 'server/src/main/java']
const ENGLISH = languages().en ?? {}
const PLURAL = /_(zero|one|other)$/

function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) return sources(path)
    const isTest = entry.name.includes('.test.')
    return /\.(java|tsx?)$/.test(entry.name) && !isTest ? [readFileSync(path, 'utf-8')] : []
  })
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

/** Every piece of text in the sources that could be a key, or the beginning of one that is put together. */
function spoken(texts: string[]) {
  const whole = new Set<string>()
  const parts = new Set<string>()
  for (const text of texts) {
    for (const [, literal] of text.matchAll(/["']([A-Za-z][\w.]*)["']/g)) {
      if (literal?.endsWith('.')) parts.add(escaped(literal) + '.+')
      else if (literal) whole.add(literal)
    }
    for (const [, template] of text.matchAll(/`([A-Za-z][\w.]*\$\{[^`]*)`/g)) {
      if (template) parts.add(escapedTemplate(template))
    }
  }
  return { whole, parts: new RegExp(`^(?:${[...parts].join('|')})$`) }
}

const escapedTemplate = (template: string) =>
  template
    .split(/\$\{(?:[^{}]|\{[^{}]*\})*\}/)
    .map(escaped)
    .join('[^.]+')

/** Keys that screens ask for by their whole name. */
function asked(texts: string[]): string[] {
  return texts.flatMap((text) =>
    [...text.matchAll(/\bt\(\s*'([\w.]+)'/g)].flatMap(([, key]) => (key ? [key] : [])),
  )
}

describe('the catalogue that server and screens share', () => {
  const web = sources(join(ROOT, 'web/src'))
  const all = SOURCES.flatMap((folder) => sources(join(ROOT, folder)))

  it('says everything that the screens ask for', () => {
    const known = (key: string) => key in ENGLISH || `${key}_other` in ENGLISH
    const missing = asked(web).filter((key) => !known(key))
    expect(asked(web).length).toBeGreaterThan(500)
    expect(missing).toEqual([])
  })

  it('says everything that the server asks for', () => {
    const wanted = all.flatMap((text) =>
      [
        ...text.matchAll(/(?:Sentence\.of|Wrong\.of|row\.say|\bpractice)\(\s*"([\w.]*\w)"/g),
      ].flatMap(([, key]) => (key ? [key] : [])),
    )
    expect(wanted.length).toBeGreaterThan(150)
    expect(wanted.filter((key) => !(key in ENGLISH))).toEqual([])
  })

  it('says nothing that nobody asks for', () => {
    const { whole, parts } = spoken(all)
    const unused = Object.keys(ENGLISH)
      .map((key) => key.replace(PLURAL, ''))
      .filter((key) => !whole.has(key) && !parts.test(key))
    expect([...new Set(unused)]).toEqual([])
  })

  it('doubles no apostrophe where a screen says it: only the server takes one of them away', () => {
    const wanted = new Set(asked(web))
    const onScreen = Object.entries(ENGLISH).filter(
      ([key, text]) => text.includes('{{') || wanted.has(key),
    )
    expect(onScreen.filter(([, text]) => text.includes("''"))).toEqual([])
  })

  it('has both forms of everything that is counted', () => {
    const counted = Object.keys(ENGLISH).filter((key) => key.endsWith('_one'))
    expect(counted.filter((key) => !(key.replace('_one', '_other') in ENGLISH))).toEqual([])
  })

  it('a second language says what English says', () => {
    Object.values(languages()).forEach((language) =>
      expect(Object.keys(language).filter((key) => !(key in ENGLISH))).toEqual([]),
    )
  })
})
