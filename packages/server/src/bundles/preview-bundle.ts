import type { Bundle, ImportPreview } from '@idolon/contract'
import type { Database } from '../database/connect.ts'
import { hereAlready } from './open-bundle.ts'

const SHOWN = 20
const LISTED = 100
const EXCERPT = 300
const counted = (n: number, one: string) => `${n.toLocaleString('en')} ${n === 1 ? one : one.replace(/^\S+(?= of )|\S+$/, (word) => `${word}s`)}`

/** What would come in with a bundle; what is here already is told apart by its id. */
export async function previewBundle(db: Database, bundle: Bundle): Promise<ImportPreview> {
  const here = await hereAlready(db, bundle)
  const drafts = new Map(bundle.drafts.map((draft) => [draft.promptId, draft]))
  const projects = new Map(bundle.projects.map(({ id, name }) => [id, name]))
  const count = (list: readonly { promptId: string }[], prompt: string) => list.filter(({ promptId }) => promptId === prompt).length
  const rows = bundle.prompts.map((prompt, i) => ({ prompt, place: `prompt ${i + 1}`, title: prompt.title || (drafts.get(prompt.id)?.firstWords ?? '') }))
  const coming = rows.filter(({ prompt }) => !here.has(prompt.id))
  const duplicates = rows.filter(({ prompt }) => here.has(prompt.id))
  return {
    coming: {
      count: coming.length,
      first: coming.slice(0, SHOWN).map(({ prompt, place, title }) => ({
        place,
        title,
        text: (drafts.get(prompt.id)?.body.text ?? '').slice(0, EXCERPT),
        project: projects.get(prompt.projectId) ?? '',
        tags: prompt.tags,
        says: [prompt.status, counted(count(bundle.versions, prompt.id), 'version'), counted(count(bundle.proofs, prompt.id), 'proof')].join('; '),
      })),
    },
    duplicates: { count: duplicates.length, first: duplicates.slice(0, LISTED).map(({ prompt, place, title }) => ({ place, title, of: { promptId: prompt.id, title: here.get(prompt.id) ?? '' } })) },
    rejected: { count: 0, first: [] },
    notes: { count: 0, first: [] },
    beside: ([[bundle.projects.length, 'project'], [bundle.pictures.length, 'picture'], [bundle.templates.filter(({ shipped }) => !shipped).length, 'template'], [bundle.engines.length, 'engine profile'], [bundle.terms.length, 'own term'], [bundle.references.length, 'reference'], [bundle.trials.length, 'trial plan'], [bundle.scenes.length, 'scene'], [bundle.parts.length, 'part of a series']] as const).flatMap(([n, one]) => (n ? [counted(n, one)] : [])),
  }
}
