import { changeProject, createProject, listProjects, type Project, type ProjectChange } from '@idolon/contract'
import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'

/** All projects, and the one that is being worked in. */
export const useProjects = defineStore('projects', () => {
  const all = ref<Project[]>([])
  const loaded = ref(false)
  const chosen = useLocalStorage('idolon.project', '')
  const open = computed(() => all.value.filter((project) => !project.archivedAt))
  const current = computed(() => all.value.find((project) => project.id === chosen.value && !project.archivedAt) ?? open.value[0])

  async function load(): Promise<void> {
    all.value = await call(listProjects, {})
    loaded.value = true
  }
  let soon: ReturnType<typeof setTimeout> | undefined
  onChange((event) => {
    if (event !== 'reset' && event.kind === 'draft') return
    clearTimeout(soon)
    soon = setTimeout(() => void load().catch(() => undefined), 400)
  })
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
