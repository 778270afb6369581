<script setup lang="ts">
import { listTurns, type Turn } from '@idolon/contract'
import type { OutlinePhrase } from '@idolon/core'
import type { HelperValues } from '@idolon/core/helper'
import { nextTick, ref, shallowRef, useTemplateRef } from 'vue'
import { call } from '../api/call.ts'
import type { Asking } from '../asking/asking.ts'
import HelperForm from '../asking/HelperForm.vue'
import { sayWhen } from '../shared/said.ts'
import { useHelpers } from '../stores/helpers.ts'
import FoldOut from '../shared/FoldOut.vue'

/** The helpers as words with a sentence; one opens to be asked. */
const props = defineProps<{ asking: Asking; promptId: string; text: string; phrases: readonly OutlinePhrase[]; here: OutlinePhrase | undefined; engine: string | undefined }>()
const helpers = useHelpers()
const chosen = ref('')
const root = useTemplateRef<HTMLElement>('root')
const before = shallowRef<Turn[]>([])
void call(listTurns, { params: { prompt: props.promptId } }).then((turns) => (before.value = turns.slice(0, 8)), () => undefined)

async function open(id: string): Promise<void> {
  chosen.value = chosen.value === id ? '' : id
  await nextTick()
  root.value?.querySelector<HTMLElement>('.helper-form input, .helper-form select, .helper-form textarea, .helper-form button')?.focus()
}
const ask = (id: string, models: string[], values: HelperValues) => props.asking.ask({ helper: id, models, values })
defineExpose({
  open: async (id: string) => {
    chosen.value = ''
    await open(id)
  },
})
</script>

<template>
  <section ref="root" class="helpers" aria-label="Helpers">
    <ul>
      <li v-for="helper in helpers.forDrafts" :key="helper.id" :class="{ open: helper.id === chosen }">
        <v-btn variant="text" :aria-expanded="helper.id === chosen" class="name lines" @click="open(helper.id)"><strong>{{ helper.body.name }}</strong> <span class="soft">{{ helper.body.does }}</span></v-btn>
        <HelperForm v-if="helper.id === chosen" :helper="helper" :text="text" :phrases="phrases" :here="here" :engine="engine" :busy="asking.busy.value" two @ask="(models: string[], values: HelperValues) => ask(helper.id, models, values)" />
      </li>
    </ul>
    <p class="soft"><RouterLink to="/helpers">What they are told, and how well they do</RouterLink></p>
    <FoldOut v-if="before.length" title="Asked before">
      <ul class="before">
        <li v-for="turn in before" :key="turn.id"><v-btn variant="text" @click="asking.takeUp(turn)">{{ turn.helper.name }}{{ turn.further ? `: ${turn.further}` : '' }}</v-btn> <span class="soft">{{ turn.model.name }}, {{ sayWhen(turn.askedAt) }}{{ turn.taken ? `, ${turn.taken.taken} taken` : turn.state === 'done' ? '' : `, ${turn.state}` }}</span></li>
      </ul>
    </FoldOut>
  </section>
</template>

<style scoped>
.helpers {
  display: grid;
  gap: 14px;
}
.helpers > ul {
  display: grid;
}
.helpers > ul > li {
  display: grid;
  gap: 8px;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
}
li.open {
  padding-bottom: 14px;
}
.name {
  display: block;
  width: 100%;
}
.name:hover strong {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.name .soft {
  display: block;
  font-size: 13px;
}
.before {
  display: grid;
  gap: 4px;
  margin-top: 6px;
}
</style>
