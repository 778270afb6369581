<script setup lang="ts">
import { addPart } from '@idolon/contract'
import { blankPart, type PartKind } from '@idolon/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import type { OpenSeries } from './use-series.ts'
import { needed } from '../shared/field-rules.ts'
import { vFocusFirst } from '../shared/focus-first.ts'

/** Characters, places and style beside the scenes. */
const props = defineProps<{ open: OpenSeries }>()
const router = useRouter()
const task = useTask()
const groups = computed(() => [
  { kind: 'character' as const, title: 'Characters', parts: props.open.characters.value },
  { kind: 'place' as const, title: 'Places', parts: props.open.places.value },
  { kind: 'style' as const, title: 'Style', parts: props.open.styles.value },
])
const adding = ref<PartKind>()
const name = ref('')
const series = computed(() => props.open.series.value!)
const add = (kind: PartKind) =>
  task(async () => {
    const id = crypto.randomUUID()
    await call(addPart, { body: { id, projectId: series.value.projectId, body: blankPart(kind, name.value.trim()), why: '' } })
    if (kind === 'style' && !series.value.style) await props.open.change({ style: id })
    adding.value = undefined
    name.value = ''
    await router.push(`/series/${series.value.id}/parts/${id}`)
  })
</script>

<template>
  <section class="parts" aria-label="Characters, places and style">
    <div v-for="{ kind, title, parts } in groups" :key="kind">
      <h2>{{ title }}</h2>
      <ul>
        <li v-for="part in parts" :key="part.id">
          <RouterLink :to="`/series/${series.id}/parts/${part.id}`" class="name">{{ part.body.name }}</RouterLink>
          <span class="soft">{{ [part.body.says[0]?.text ?? 'nothing said of it yet', counted(part.scenes, 'scene')].join('; ') }}</span>
        </li>
      </ul>
      <v-select v-if="kind === 'style' && parts.length" label="Style of this series" :model-value="series.style ?? ''" :items="[{ title: 'no style', value: '' }, ...parts.map((part) => ({ title: part.body.name, value: part.id }))]" @update:model-value="open.change({ style: $event || null })" />
      <form v-if="adding === kind" class="row-actions" @submit.prevent="add(kind)">
        <v-text-field v-model="name" v-focus-first :label="`Name of the ${kind}`" maxlength="120" :rules="[needed]" @keydown.escape="adding = undefined" />
        <v-btn :disabled="!name.trim()" type="submit">Add it</v-btn>
      </form>
      <v-btn v-else variant="text" @click="(adding = kind), (name = '')">Add a {{ kind }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.parts {
  display: grid;
  gap: 18px;
}
li {
  display: grid;
  padding: 4px 0;
  border-top: 1px solid var(--rule);
}
.name {
  font-family: var(--serif);
  font-size: 16px;
}
li .soft {
  font-size: 13px;
}
h2 {
  margin-bottom: 3px;
}
ul {
  margin-bottom: 6px;
}
</style>
