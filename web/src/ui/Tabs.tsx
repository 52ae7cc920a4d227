import { NavLink } from 'react-router'

/** The views of one screen; what was asked stays in the address. */
export function Tabs<V extends string>({
  name,
  path,
  views,
  view,
  search,
  say,
}: {
  name: string
  path: string
  views: readonly V[]
  view: V
  search: URLSearchParams
  say: (view: V) => string
}) {
  return (
    <nav aria-label={name} className="flex flex-wrap gap-x-4">
      {views.map((one) => {
        const to = new URLSearchParams(search)
        to.set('view', one)
        return (
          <NavLink
            key={one}
            to={`${path}?${to}`}
            aria-current={one === view ? 'page' : undefined}
            className={`inline-flex min-h-11 items-center ${one === view ? 'font-bold text-crown' : 'underline'}`}
          >
            {say(one)}
          </NavLink>
        )
      })}
    </nav>
  )
}
