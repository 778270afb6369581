import { changeProject, createProject, listProjects, type Project, type ProjectChange } from '@idolon/contract'
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { call } from '../api/call.ts'
import { useKnownList } from './known-list.ts'

/** All projects, and the one that is being worked in. */
export const useProjects = defineStore('projects', () => {
  const { all, read: load, loaded: isLoaded } = useKnownList<Project>('projects', (signal) => call(listProjects, { signal }), ({ kind }) => kind !== 'draft', 400)
  const loaded = computed(isLoaded)
  const chosen = useLocalStorage('idolon.project', '')
  const open = computed(() => all.value.filter((project) => !project.archivedAt))
  const current = computed(() => all.value.find((project) => project.id === chosen.value && !project.archivedAt) ?? open.value[0])

  async function create(name: string): Promise<Project> {
    const project = await call(createProject, { body: { name } })
    await load()
    chosen.value = project.id
    return project
  }
  async function change(id: string, body: ProjectChange): Promise<void> {
    await call(changeProject, { params: { project: id }, body })
    await load()
  }
  const byId = (id: string): Project | undefined => all.value.find((project) => project.id === id)
  /** The current project; made first where there is none. */
  const currentOrFirst = async (): Promise<Project> => current.value ?? create('First project')
  return { all, open, loaded, chosen, current, load, create, change, byId, currentOrFirst }
})
