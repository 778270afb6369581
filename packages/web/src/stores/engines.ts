import { type Engine, listEngines, removeEngine, saveEngine } from '@idolon/contract'
import { type EngineProfile, findEngine } from '@idolon/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { call } from '../api/call.ts'
import { useKnownList } from './known-list.ts'

export const useEngines = defineStore('engines', () => {
  const { all, load, read } = useKnownList<Engine>('engines', (signal) => call(listEngines, { signal }), ({ kind }) => kind === 'engines')
  const profiles = computed(() => all.value.map(({ profile }) => profile))
  const find = (id: string, revision?: string): EngineProfile | undefined => findEngine(profiles.value, id, revision)
  const isConnected = (profile: EngineProfile | undefined): boolean => all.value.some((engine) => engine.connected && engine.profile.id === profile?.id && engine.profile.revision === profile.revision)
  /** Of every engine the newest revision. */
  const newest = computed(() => profiles.value.filter((profile) => find(profile.id) === profile))
  /** “Burin 2”, from “burin 2” as a choice of engines is written. */
  const named = (said: string): string => said.replace(/^[^ ,]+/, (id) => find(id)?.name ?? id)
  async function save(profile: EngineProfile): Promise<void> {
    await call(saveEngine, { params: { engine: profile.id, revision: profile.revision }, body: profile })
    await read()
  }
  async function remove({ id, revision }: EngineProfile): Promise<void> {
    await call(removeEngine, { params: { engine: id, revision } })
    await read()
  }
  return { all, profiles, newest, load, find, isConnected, named, save, remove }
})
