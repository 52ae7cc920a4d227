import type { Deed } from '../api/types'

type Say = (key: string, values?: Record<string, unknown>) => string

/** What is known by name of the things that deeds speak of. */
export type Names = { yard: (id: string) => string; hive: (id: string) => string }

/** What a deed was about, beyond its kind; empty if its kind says it all. */
function about(deed: Deed, subject: string, names: Names, t: Say): string {
  switch (deed.kind) {
    case 'CELL_CULLED':
      return t(`cull.${deed.reason}`)
    case 'QUEEN_PLACED':
      return [names.hive(deed.hive), deed.place ? t(`cellPlace.${deed.place}`) : '']
        .filter(Boolean)
        .join(', ')
    case 'QUEEN_MARKED':
      return [deed.colour ? t(`colour.${deed.colour}`) : '', deed.number].filter(Boolean).join(' ')
    case 'QUEEN_TAKEN_OUT':
      return [deed.why ? t(`leaving.${deed.why}`) : '', deed.whereTo].filter(Boolean).join(', ')
    case 'QUEEN_BREEDER_SAID':
      return t(deed.breeder ? 'queen.isBreeder' : 'queen.isNoBreeder')
    case 'QUEEN_NOTED':
    case 'HIVE_NOTED':
    case 'GRAFT_NOTED':
      return deed.text
    case 'HIVE_SET_UP':
    case 'HIVE_RENAMED':
      return deed.code
    case 'HIVE_REPURPOSED':
      return t(`purpose.${deed.purpose}`)
    case 'HIVE_MOVED':
      return `${names.yard(deed.yard)}, ${deed.position}`
    case 'HIVE_ENDED':
      return t(`endHive.${deed.why}`)
    case 'BOX_PUT_ON':
      return t(`boxKind.${deed.box.kind}`)
    case 'HAPPENED':
      return t(`happened.${deed.event}`)
    case 'ACTION_CHOSEN':
      return t(`action.${deed.action}`)
    case 'BUILDER_RUN':
      return t(`school.${deed.school}`)
    case 'YARD_OPENED':
      return deed.name
    case 'YARD_CLIMATE_SAID':
      return t(`climate.${deed.climate}`)
    case 'YARD_STATION_SWITCHED':
      return t(deed.on ? 'deed.on' : 'deed.off')
    case 'YARD_FLOW_SAID':
      return t(`flow.${deed.flow}`)
    case 'YARD_SITE_DESCRIBED':
      return deed.conditions.map((one) => t(`site.${one}`)).join(', ')
    case 'YARD_MATING_SAID':
      return deed.lines.join(', ')
    case 'YARD_WEATHER_NOTED':
      return t('deed.days', { count: deed.days.length })
    case 'FRAMES_MOVED':
      return t('deed.frames', { count: deed.moves.length })
    case 'BEES_SHAKEN':
      return t('deed.beesOf', { count: deed.framesOfBees })
    case 'FRAMES_ADDED':
      return t('deed.frames', { count: deed.frames.length })
    case 'TAKE_COUNTED':
      return t(deed.took.includes(subject) ? 'act.TOOK' : 'act.DID_NOT_TAKE')
    default:
      return ''
  }
}

/** A deed in a few words. */
export function what(deed: Deed, subject: string, names: Names, t: Say): string {
  if (deed.kind === 'QUEEN_SEEN') return t(`act.${deed.sight}`)
  const more = about(deed, subject, names, t)
  return more ? `${t(`deed.${deed.kind}`)}: ${more}` : t(`deed.${deed.kind}`)
}
