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
const list = useTemplateRef<{ $el: HTMLElement }>('list')
const MOST_PLACES = 12
const lastWordBefore = (at: number) => props.phrase.text.slice(0, at - props.phrase.start).split(/\s+/).at(-1) ?? ''
/** Every act on the phrase, in the order of the menu, with the key that does the same from the outline. */
const acts = computed((): { title: string; keys?: string; run: () => void }[] => {
  const { phrase, actions } = props
  const next = actions.next(phrase)
  return [
    { title: 'Show in the text', run: () => actions.show(phrase) },
    { title: 'Glossary: what it does and brings', keys: 'G', run: () => actions.entry(phrase) },
    { title: 'Replace', keys: 'R', run: () => actions.startReplacing(phrase) },
    { title: 'Rephrase, with a helper', keys: 'W', run: () => actions.rephrase(phrase) },
    { title: phrase.off ? 'Switch on' : 'Switch off', keys: 'O', run: () => actions.off(phrase) },
    { title: phrase.locked ? 'Unlock: helpers may change it' : 'Lock: helpers may not change it', keys: 'L', run: () => actions.locked(phrase) },
    { title: 'Move earlier', keys: 'Ctrl Left', run: () => actions.move(phrase, -1) },
    { title: 'Move later', keys: 'Ctrl Right', run: () => actions.move(phrase, 1) },
    { title: actions.kept(phrase) ? 'Keep it no longer' : 'Keep for this project', keys: 'K', run: () => void actions.keep(phrase) },
    { title: 'Make it a slot of a template', keys: 'T', run: () => actions.slot(phrase) },
    ...(next ? [{ title: `Join with “${next.text}”`, keys: 'J', run: () => actions.join(phrase) }] : []),
    { title: 'Remove', keys: 'Delete', run: () => actions.remove(phrase) },
  ]
})
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
onMounted(() => setTimeout(() => list.value?.$el.querySelector<HTMLElement>(props.splitting ? '.splits [role]' : '[role=menuitem]')?.focus(), 30))

function onKey(event: KeyboardEvent): void {
  // Arrows, Home and End are the list's own.
  if (event.key !== 'Escape' && event.key !== 'Tab') return
  close()
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <v-menu :model-value="true" attach="main" :target="target" :close-on-content-click="false" location="bottom start" @update:model-value="close">
    <v-list ref="list" class="menu" role="menu" :aria-label="phrase.text" @keydown="onKey">
      <p v-if="tried" class="tried soft">Pictures kept that say it: {{ tried }}</p>
      <v-list-item v-for="act in acts" :key="act.title" role="menuitem" :title="act.title" @click="run(act.run)">
        <template v-if="act.keys" #append><kbd>{{ act.keys }}</kbd></template>
      </v-list-item>
      <div v-if="places.length" class="group splits" role="group" aria-label="Split after">
        <span class="soft">Split after <kbd>S</kbd></span>
        <v-list-item v-for="at in places.slice(0, MOST_PLACES)" :key="at" role="menuitem" :title="lastWordBefore(at)" @click="run(() => actions.split(phrase, at))" />
      </div>
      <div class="group" role="group" aria-label="Emphasis">
        <span class="soft">Emphasis</span>
        <v-list-item v-for="{ level, said } in EMPHASIS" :key="level" role="menuitemradio" :aria-checked="phrase.emphasis === level" :title="said" @click="run(() => actions.emphasis(phrase, level))" />
      </div>
      <div class="group" role="group" aria-label="Facet">
        <span class="soft">It is</span>
        <v-list-item v-for="facet in FACETS" :key="facet" role="menuitemradio" :aria-checked="phrase.facet === facet" :title="facet" @click="run(() => actions.facet(phrase, facet))" />
        <v-list-item v-if="phrase.byHand" role="menuitem" title="as read" @click="run(() => actions.facet(phrase, undefined))" />
      </div>
    </v-list>
  </v-menu>
</template>

<style scoped>
.menu {
  max-width: 360px;
}
.tried {
  max-width: 340px;
  padding: 4px 16px 6px;
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
.group .v-list-item {
  min-height: 26px;
  padding: 0 7px;
}
[aria-checked='true'] {
  font-weight: 600;
  box-shadow: inset 0 -2px 0 var(--accent);
}
</style>
