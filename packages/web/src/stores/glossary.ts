import { addTerms, listTerms, type OwnTerm, removeTerm } from '@idolon/contract'
import { Associations, type AssociationTable, Glossary, type GlossaryEntry } from '@idolon/core'
import associationsUrl from '@idolon/core/tables/associations.json?url'
import glossaryUrl from '@idolon/core/tables/glossary.json?url'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'

async function table<T>(url: string): Promise<T> {
  const response = await fetch(url)
  if (!response.ok) throw new Error(`The glossary could not be loaded (status ${response.status}). Reload the page; nothing you wrote is lost.`)
  return (await response.json()) as T
}

/** The glossary with the terms of the project that was last asked for, and what words bring along; loaded when first needed. */
export const useGlossary = defineStore('glossary', () => {
  const shipped = shallowRef<GlossaryEntry[]>()
  const own = shallowRef<OwnTerm[]>([])
  const associations = shallowRef<Associations>()
  const glossary = computed(() => shipped.value && new Glossary(shipped.value, own.value.map(({ entry }) => entry)))
  let project: string | undefined

  const readOwn = async () => {
    const asked = project
    const found = await call(listTerms, { query: asked ? { project: asked } : {} })
    if (asked === project) own.value = found
  }
  async function load(projectId: string | undefined): Promise<void> {
    project = projectId
    const missing = shipped.value
      ? []
      : [
          table<GlossaryEntry[]>(glossaryUrl).then((entries) => (shipped.value = entries)),
          table<AssociationTable>(associationsUrl).then((rows) => (associations.value = new Associations(rows))),
        ]
    await Promise.all([readOwn(), ...missing])
  }
  onChange((event) => {
    if (shipped.value && (event === 'reset' || event.kind === 'terms')) void readOwn().catch(() => undefined)
  })
  async function add(projectId: string | null, entries: GlossaryEntry[]): Promise<void> {
    await call(addTerms, { body: { projectId, entries } })
    await readOwn()
  }
  async function remove(term: OwnTerm): Promise<void> {
    await call(removeTerm, { params: { term: term.id } })
    await readOwn()
  }
  return { glossary, own, associations, load, add, remove }
})
