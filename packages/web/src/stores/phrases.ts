import { countPhrases, removePhrase, keepPhrase, listPhrases, type PhraseCount, type ProjectPhrase } from '@idolon/contract'
import type { Facet } from '@idolon/core'
import { defineStore } from 'pinia'
import { call } from '../api/call.ts'
import { useOfProject } from './of-project.ts'

/** Phrases to write with in the project that was last asked for: kept ones, then what its proven prompts say. */
export const usePhrases = defineStore('phrases', () => {
  const { project, shown: all, load, put } = useOfProject<ProjectPhrase[]>({
    name: 'phrases',
    none: [],
    read: (id, signal) => call(listPhrases, { params: { project: id }, signal }),
    on: ({ kind }) => kind !== 'draft' && kind !== 'run',
    gatherMs: 600,
  })

  const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()
  const keptAs = (text: string, facet: Facet): ProjectPhrase | undefined => all.value.find((phrase) => phrase.id && phrase.facet === facet && same(phrase.text, text))
  async function keep(text: string, facet: Facet): Promise<void> {
    const kept = await call(keepPhrase, { params: { project: project.value! }, body: { text, facet } })
    put([kept, ...all.value.filter((phrase) => !(phrase.facet === facet && same(phrase.text, text)))])
  }
  async function remove(phrase: ProjectPhrase): Promise<void> {
    if (!phrase.id) return
    await call(removePhrase, { params: { project: project.value!, phrase: phrase.id } })
    put(all.value.filter(({ id }) => id !== phrase.id))
  }
  /** Kept of tried for a phrase in this project, by engine; nothing where it cannot be asked. */
  const countsOf = async (text: string): Promise<PhraseCount[]> => (project.value ? await call(countPhrases, { params: { project: project.value }, body: { phrases: [text] } }).catch(() => []) : [])
  return { all, load, keptAs, keep, remove, countsOf }
})
