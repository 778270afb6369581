import { type ListedView, VIEW_LIST } from '../packages/web/src/app/view-list.ts'
import { api } from './application.ts'

export interface ShelfAnswer {
  rows: { id: string; projectId: string; bestProof: { id: string } | null }[]
}
interface Named {
  id: string
  name: string
}
/** Rows of names and prompts to import. */
const CSV = 'Name,Prompt,Topics\nOwl,an owl at dusk,night\nAgain,an owl at dusk,\nEmpty,,\n'

/** Every view by its name, on the demo world: the application's own list of views, and what some of them show besides. */
export async function addresses(): Promise<[string, string][]> {
  const { rows } = await api<ShelfAnswer>('GET', '/api/shelf?q=hedda%20opens')
  const prompt = rows[0]!
  const { proofs } = await api<{ proofs: { id: string }[] }>('GET', `/api/sheet?prompt=${prompt.id}`)
  const file = (await (await fetch(`${process.env['E2E_ADDRESS'] ?? ''}/api/imports?name=birds.csv`, { method: 'POST', body: CSV })).json()) as { id: string }
  const series = (await api<Named[]>('GET', '/api/series')).find(({ name }) => name === 'The Lantern Bees')!
  const { parts } = await api<{ parts: { id: string; body: { name: string } }[] }>('GET', `/api/series/${series.id}`)
  /** What stands in an address. Templates, writing styles and references have none of their own here: their views open on their lists. */
  const PARAMS: Readonly<Record<string, string>> = {
    prompt: prompt.id,
    proof: prompt.bestProof!.id,
    template: '',
    writingStyle: '',
    import: '',
    series: series.id,
    part: parts.find(({ body }) => body.name === 'Corin')!.id,
    reference: '',
    helper: 'fill-out',
    project: prompt.projectId,
  }
  const some = `?ids=${proofs.slice(0, 3).map(({ id }) => id).join(',')}`
  const QUERIES: Readonly<Record<string, string>> = { sheet: `?prompt=${prompt.id}`, 'side-by-side': some, judge: some, shelf: '?tried=yes', glossary: '?q=rim' }
  const addressOf = (path: string) =>
    path.replace(/\/:(\w+)\??/g, (_, name: string) => {
      const value = PARAMS[name]
      if (value === undefined) throw new Error(`No sweep knows what stands for :${name}. Say it in e2e/view-addresses.ts.`)
      return value && `/${value}`
    }) || '/'
  return [
    ...VIEW_LIST.map(({ id, title, path }: ListedView): [string, string] => [title, addressOf(path) + (QUERIES[id] ?? '')]),
    ['Importing a file', `/shelf/in/${file.id}`],
    ['Learning a template', '/shelf/templates?do=learn'],
    ['Writing a template', '/shelf/templates?do=new'],
    ['Not found', '/nowhere'],
  ]
}
