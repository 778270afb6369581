import { api } from './application.ts'

export interface ShelfAnswer {
  rows: { id: string; projectId: string; bestProof: { id: string } | null }[]
}
interface SheetAnswer {
  proofs: { id: string }[]
}

/** Every view by its name, on the demo world. */
export async function addresses(): Promise<[string, string][]> {
  const { rows } = await api<ShelfAnswer>('GET', '/api/shelf?q=hedda%20opens')
  const [prompt] = rows
  const { proofs } = await api<SheetAnswer>('GET', `/api/sheet?prompt=${prompt?.id ?? ''}`)
  const ids = proofs.slice(0, 3).map(({ id }) => id).join(',')
  const file = (await (await fetch(`${process.env['E2E_ADDRESS'] ?? ''}/api/imports?name=birds.csv`, { method: 'POST', body: 'Name,Prompt,Topics\nOwl,an owl at dusk,night\nAgain,an owl at dusk,\nEmpty,,\n' })).json()) as { id: string }
  const [series] = (await api<{ id: string; name: string }[]>('GET', '/api/series')).filter(({ name }) => name === 'The Lantern Bees')
  const { parts } = await api<{ parts: { id: string; body: { name: string } }[] }>('GET', `/api/series/${series?.id ?? ''}`)
  return [
    ['Series', `/series/${series?.id ?? ''}`],
    ['A character', `/series/${series?.id ?? ''}/parts/${parts.find(({ body }) => body.name === 'Corin')?.id ?? ''}`],
    ['What has changed', `/series/${series?.id ?? ''}/changes`],
    ['Played', `/series/${series?.id ?? ''}/play`],
    ['Begin', '/'],
    ['Desk', `/desk/${prompt?.id}`],
    ['Proofs', '/proofs'],
    ['Sheet', `/proofs/sheet?prompt=${prompt?.id ?? ''}`],
    ['Side by side', `/proofs/side-by-side?ids=${ids}`],
    ['Judging blind', `/proofs/judge?ids=${ids}`],
    ['Proof', `/proofs/${prompt?.bestProof?.id}`],
    ['Shelf', '/shelf?tried=yes'],
    ['Bringing in', '/shelf/in'],
    ['Bringing a file in', `/shelf/in/${file.id}`],
    ['Templates', '/shelf/templates'],
    ['Learning a template', '/shelf/templates?do=learn'],
    ['Writing a template', '/shelf/templates?do=new'],
    ['Writing styles', '/shelf/writing-styles'],
    ['Trial plan', `/desk/${prompt?.id}/plan`],
    ['References', '/references'],
    ['Bin', '/bin'],
    ['Project', `/projects/${prompt?.projectId}`],
    ['Helpers', '/helpers/fill-out'],
    ['Glossary', '/glossary?q=rim'],
    ['Engines', '/engines'],
    ['Not found', '/nowhere'],
  ]
}
