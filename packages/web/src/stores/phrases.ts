import { countPhrases, forgetPhrase, keepPhrase, listPhrases, type PhraseCount, type ProjectPhrase } from '@idolon/contract'
import type { Facet } from '@idolon/core'
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'

/** Phrases to write with in the project that was last asked for: kept ones, then what its proven prompts say. */
export const usePhrases = defineStore('phrases', () => {
  const all = shallowRef<ProjectPhrase[]>([])
  let project = ''

  async function load(id: string): Promise<void> {
    project = id
    const found = await call(listPhrases, { params: { project: id } })
    if (id === project) all.value = found
  }
  let soon: ReturnType<typeof setTimeout> | undefined
  onChange((event) => {
    if (!project || (event !== 'reset' && (event.kind === 'draft' || event.kind === 'run'))) return
    clearTimeout(soon)
    soon = setTimeout(() => void load(project).catch(() => undefined), 600)
  })

  const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()
  const keptAs = (text: string, facet: Facet): ProjectPhrase | undefined => all.value.find((phrase) => phrase.id && phrase.facet === facet && same(phrase.text, text))
  async function keep(text: string, facet: Facet): Promise<void> {
    const kept = await call(keepPhrase, { params: { project }, body: { text, facet } })
    all.value = [kept, ...all.value.filter((phrase) => !(phrase.facet === facet && same(phrase.text, text)))]
  }
  async function forget(phrase: ProjectPhrase): Promise<void> {
    if (!phrase.id) return
    await call(forgetPhrase, { params: { project, phrase: phrase.id } })
    all.value = all.value.filter(({ id }) => id !== phrase.id)
  }
  /** Kept of tried for a phrase in this project, by engine; nothing where it cannot be asked. */
  const countsOf = async (text: string): Promise<PhraseCount[]> => (project ? await call(countPhrases, { params: { project }, body: { phrases: [text] } }).catch(() => []) : [])
  return { all, load, keptAs, keep, forget, countsOf }
})
