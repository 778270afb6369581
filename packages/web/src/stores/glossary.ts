import { addTerms, listTerms, type OwnTerm, removeTerm } from '@idolon/contract'
import { Associations, type AssociationTable, Glossary, type GlossaryEntry } from '@idolon/core'
import associationsUrl from '@idolon/core/tables/associations.json?url'
import glossaryUrl from '@idolon/core/tables/glossary.json?url'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { call } from '../api/call.ts'
import { SaidError } from '../api/problem.ts'
import { useOfProject } from './of-project.ts'

async function table<T>(url: string): Promise<T> {
  const response = await fetch(url)
  if (!response.ok) throw new SaidError('The glossary could not be loaded. Nothing you wrote is lost. Reload the page.')
  return (await response.json()) as T
}

/** The glossary with the terms of the project that was last asked for, and what words bring along; loaded when first needed. */
export const useGlossary = defineStore('glossary', () => {
  const shipped = shallowRef<GlossaryEntry[]>()
  /** Of the empty project: none but the terms of all projects. */
  const { shown: own, load: loadOwn, again } = useOfProject<OwnTerm[]>({
    name: 'terms',
    none: [],
    read: (id, signal) => call(listTerms, { query: id ? { project: id } : {}, signal }),
    on: ({ kind }) => kind === 'terms',
  })
  const associations = shallowRef<Associations>()
  const glossary = computed(() => shipped.value && new Glossary(shipped.value, own.value.map(({ entry }) => entry)))
  /** @throws where the tables that ship could not be loaded; what goes wrong with the project's own terms is said. */
  async function load(projectId: string | undefined): Promise<void> {
    const missing = shipped.value
      ? []
      : [
          table<GlossaryEntry[]>(glossaryUrl).then((entries) => (shipped.value = entries)),
          table<AssociationTable>(associationsUrl).then((rows) => (associations.value = new Associations(rows))),
        ]
    await Promise.all([loadOwn(projectId ?? ''), ...missing])
  }
  async function add(projectId: string | null, entries: GlossaryEntry[]): Promise<void> {
    await call(addTerms, { body: { projectId, entries } })
    await again()
  }
  async function remove(term: OwnTerm): Promise<void> {
    await call(removeTerm, { params: { term: term.id } })
    await again()
  }
  return { glossary, own, associations, load, add, remove }
})
