<script setup lang="ts">
import { EMPHASIS, FACETS, type OutlinePhrase } from '@idolon/core'
import type { PhraseCount } from '@idolon/contract'
import { computed, onMounted, shallowRef, useTemplateRef } from 'vue'
import { useEngines } from '../stores/engines.ts'
import { usePhrases } from '../stores/phrases.ts'
import type { PhraseActions } from './OutlineRows.vue'

/** Everything that can be done with a phrase. */
const props = defineProps<{ phrase: OutlinePhrase; target: HTMLElement; actions: PhraseActions; places: number[]; splitting?: boolean | undefined }>()
const emit = defineEmits<{ close: [] }>()
const list = useTemplateRef<HTMLElement>('list')
const engines = useEngines()
/** What became of pictures that said it. */
const counts = shallowRef<PhraseCount[]>([])
void usePhrases().countsOf(props.phrase.text).then((found) => (counts.value = found))
const tried = computed(() => counts.value.map(({ engine, revision, kept, tried: of }) => `${kept} of ${of} on ${engines.named(`${engine} ${revision}`)}`).join(', '))

function close(): void {
  emit('close')
  props.target.focus()
}
function run(act: () => void): void {
  emit('close')
  act()
}
onMounted(() => setTimeout(() => list.value?.querySelector<HTMLElement>(props.splitting ? '.splits button' : 'button')?.focus(), 30))

function onKey(event: KeyboardEvent): void {
  const buttons = [...(list.value?.querySelectorAll<HTMLElement>('button') ?? [])]
  const at = buttons.indexOf(document.activeElement as HTMLElement)
  const by = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key]
  if (by) buttons[(at + by + buttons.length) % buttons.length]?.focus()
  else if (event.key === 'Home') buttons[0]?.focus()
  else if (event.key === 'End') buttons.at(-1)?.focus()
  else if (event.key === 'Escape' || event.key === 'Tab') close()
  else return
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <v-menu :model-value="true" attach="main" :target="target" :close-on-content-click="false" location="bottom start" :offset="4" @update:model-value="close">
    <div ref="list" class="menu" role="menu" :aria-label="phrase.text" @keydown="onKey">
      <p v-if="tried" class="tried soft">Pictures kept that say it: {{ tried }}</p>
      <button role="menuitem" @click="run(() => actions.show(phrase))">Show in the text</button>
      <button role="menuitem" @click="run(() => actions.entry(phrase))">Glossary: what it does and brings <kbd>G</kbd></button>
      <button role="menuitem" @click="run(() => actions.startReplacing(phrase))">Replace <kbd>R</kbd></button>
      <button role="menuitem" @click="run(() => actions.otherwise(phrase))">Say otherwise, with a helper <kbd>W</kbd></button>
      <button role="menuitem" @click="run(() => actions.off(phrase))">{{ phrase.off ? 'Put back' : 'Switch off' }} <kbd>O</kbd></button>
      <button role="menuitem" @click="run(() => actions.fixed(phrase))">{{ phrase.fixed ? 'Let helpers change it' : 'Fix: helpers may not change it' }} <kbd>F</kbd></button>
      <button role="menuitem" @click="run(() => actions.move(phrase, -1))">Move earlier <kbd>Ctrl Left</kbd></button>
      <button role="menuitem" @click="run(() => actions.move(phrase, 1))">Move later <kbd>Ctrl Right</kbd></button>
      <button role="menuitem" @click="run(() => void actions.keep(phrase))">{{ actions.kept(phrase) ? 'Keep it no longer' : 'Keep for this project' }} <kbd>K</kbd></button>
      <button role="menuitem" @click="run(() => actions.slot(phrase))">Make it a slot of a template <kbd>T</kbd></button>
      <button v-if="actions.next(phrase)" role="menuitem" @click="run(() => actions.join(phrase))">Join with “{{ actions.next(phrase)?.text }}” <kbd>J</kbd></button>
      <button role="menuitem" @click="run(() => actions.remove(phrase))">Remove <kbd>Delete</kbd></button>
      <div v-if="places.length" class="group splits" role="group" aria-label="Split after">
        <span class="soft">Split after <kbd>S</kbd></span>
        <button v-for="at in places.slice(0, 12)" :key="at" role="menuitem" @click="run(() => actions.split(phrase, at))">{{ phrase.text.slice(0, at - phrase.start).split(/\s+/).at(-1) }}</button>
      </div>
      <div class="group" role="group" aria-label="Emphasis">
        <span class="soft">Emphasis</span>
        <button v-for="{ level, said } in EMPHASIS" :key="level" role="menuitemradio" :aria-checked="phrase.emphasis === level" @click="run(() => actions.emphasis(phrase, level))">{{ said }}</button>
      </div>
      <div class="group" role="group" aria-label="Facet">
        <span class="soft">It is</span>
        <button v-for="facet in FACETS" :key="facet" role="menuitemradio" :aria-checked="phrase.facet === facet" @click="run(() => actions.facet(phrase, facet))">{{ facet }}</button>
        <button v-if="phrase.byHand" role="menuitem" @click="run(() => actions.facet(phrase, undefined))">as read</button>
      </div>
    </div>
  </v-menu>
</template>

<style scoped>
.menu {
  display: grid;
  max-width: 340px;
  padding: 8px 0;
  background: var(--sheet);
  border: 1px solid var(--rule-strong);
}
button {
  padding: 4px 14px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}
.tried {
  max-width: 320px;
  padding: 4px 12px 6px;
}
.menu > button {
  display: flex;
  justify-content: space-between;
  gap: 24px;
}
button:hover,
button:focus-visible {
  background: var(--wash);
}
kbd {
  font-family: var(--mono);
  font-size: 11.5px;
  color: var(--soft);
}
.group {
  display: flex;
  flex-wrap: wrap;
  gap: 0 2px;
  align-items: baseline;
  padding: 6px 14px 2px;
  border-top: 1px solid var(--rule);
  margin-top: 6px;
}
.group .soft {
  width: 100%;
  font-size: 12.5px;
}
.group button {
  padding: 2px 7px;
}
[aria-checked='true'] {
  font-weight: 600;
  box-shadow: inset 0 -2px 0 var(--accent);
}
</style>
