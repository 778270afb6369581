<script setup lang="ts">
import { listReferences, type Reference } from '@idolon/contract'
import { shallowRef, watch } from 'vue'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { useProjects } from '../stores/projects.ts'

/** A reference of the project, chosen by its name. */
const sha256 = defineModel<string>({ required: true })
defineProps<{ label: string }>()
const projects = useProjects()
const task = useTask()
const references = shallowRef<Reference[]>([])
watch(
  () => projects.current?.id,
  (project) => project && void task(async () => (references.value = await call(listReferences, { query: { project } }))),
  { immediate: true },
)
</script>

<template>
  <v-select v-model="sha256" :label="label" :items="[{ title: references.length ? 'choose a reference' : 'no reference here yet', value: '' }, ...references.map((one) => ({ title: one.name || 'without a name', value: one.picture.sha256 }))]" />
</template>
