import { TRAIL_ACTIONS, type TrailAction } from '@/desk/trail/chain'

/** What of the trail is shown, as the page's address holds it. */
export type TrailChoice = Readonly<{
  text: string
  action: TrailAction | ''
  /** The identifier of a claim or a sample; empty for all. */
  about: string
  page: number
}>

const LONGEST_TEXT = 200
const MAX_PAGES = 100_000

export function readTrailChoice(
  parameters: Readonly<Record<string, string | readonly string[] | undefined>>,
): TrailChoice {
  const textOf = (name: string) => {
    const value = parameters[name]
    return typeof value === 'string' ? value.replaceAll('\0', '').slice(0, LONGEST_TEXT) : ''
  }
  const page = /^\d{1,6}$/.test(textOf('page') ?? '') ? Number(textOf('page')) : 0
  return {
    text: textOf('text'),
    action: TRAIL_ACTIONS.find((one) => one === textOf('action')) ?? '',
    about: /^[0-9a-f-]{36}$/.test(textOf('about')) ? textOf('about') : '',
    page: Number.isInteger(page) && page > 0 && page < MAX_PAGES ? page : 0,
  }
}

/** The address's query for a choice: only what is chosen. */
export function trailQuery(choice: TrailChoice): string {
  const chosen = Object.entries(choice).filter(([, value]) => value !== '' && value !== 0)
  const query = new URLSearchParams(chosen.map(([name, value]) => [name, String(value)])).toString()
  return query === '' ? '?' : `?${query}`
}
