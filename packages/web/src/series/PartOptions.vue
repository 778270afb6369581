<script setup lang="ts">
import { listParts } from '@idolon/contract'
import { PART_KINDS, type PartBody, type PartKind } from '@idolon/core'
import { computed } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useProjects } from '../stores/projects.ts'
import ChoiceMenu from '../shared/ChoiceMenu.vue'

/** The characters, places and styles of a project as options: all of a kind, one of them, or what one of them may change into. */
const emit = defineEmits<{ add: [options: string[]] }>()
const projects = useProjects()
const { data } = usePageData({
  key: () => projects.current && ['parts', projects.current.id],
  read: (signal) => call(listParts, { query: { project: projects.current!.id }, signal }),
  on: (event) => event.kind === 'parts' && event.projectId === projects.current?.id,
})
const parts = computed(() => data.value ?? [])
const NAMES: Readonly<Record<PartKind, string>> = { character: 'characters', place: 'places', style: 'styles' }
const said = ({ says }: PartBody) => says.map(({ text }) => text.trim()).filter(Boolean).join(', ').slice(0, 500)
const groups = computed(() =>
  PART_KINDS.map((kind) => {
    const own = parts.value.filter(({ body }) => body.kind === kind && said(body))
    const variants = own.flatMap(({ id, body }) => [...new Set(body.variants.map(({ aspect }) => aspect))].map((aspect) => ({ key: `${id} ${aspect}`, name: `${body.name}: every ${aspect}`, options: body.variants.filter((one) => one.aspect === aspect && one.text.trim()).map(({ text }) => text.trim()) })))
    return { kind, choices: [...(own.length > 1 ? [{ key: kind, name: `all ${own.length} ${NAMES[kind]}`, options: own.map(({ body }) => said(body)) }] : []), ...own.map(({ id, body }) => ({ key: id, name: body.name, options: [said(body)] })), ...variants.filter(({ options }) => options.length)] }
  }).filter(({ choices }) => choices.length),
)
const items = computed(() => groups.value.flatMap(({ kind, choices }) => [{ title: NAMES[kind] }, ...choices.map(({ key, name }) => ({ title: name, value: key }))]))
function add(wanted: string): void {
  const chosen = groups.value.flatMap(({ choices }) => choices).find(({ key }) => key === wanted)
  if (chosen) emit('add', chosen.options)
}
</script>

<template>
  <ChoiceMenu v-if="groups.length" label="Add characters, places or styles" :items="items" @choose="add" />
</template>
