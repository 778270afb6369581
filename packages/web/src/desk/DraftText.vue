<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { heldKeys } from '../prompts/early-keys.ts'
import type { DraftSession } from './draft-session.ts'

const props = defineProps<{ session: DraftSession }>()
const host = ref<HTMLElement>()
onMounted(() => {
  host.value?.append(props.session.view.dom)
  const { view, draft } = props.session
  if (!draft.value.text) view.focus()
  // Typed before there was a text to type into.
  const early = heldKeys()
  if (early) view.dispatch({ ...view.state.replaceSelection(early), userEvent: 'input.type' })
})
</script>

<template>
  <div ref="host" class="draft-text" />
</template>

<style scoped>
.draft-text :deep(.cm-editor) {
  min-height: 64px;
  outline: none;
}
.draft-text :deep(.cm-scroller) {
  font-family: var(--serif);
  font-size: 18px;
  line-height: 1.5;
}
.draft-text :deep(.cm-content) {
  padding: 4px 0;
  caret-color: var(--ink);
}
.draft-text :deep(.cm-line) {
  padding: 0 2px;
}
.draft-text :deep(.cm-cursor) {
  border-left-color: var(--ink);
}
.draft-text :deep(.cm-off) {
  text-decoration: line-through;
  color: var(--soft);
}
/* Past what the engine reads. */
.draft-text :deep(.cm-past) {
  color: var(--soft);
}
.draft-text :deep(.cm-reads-to-here) {
  margin-right: 6px;
  padding: 0 6px;
  border-left: 2px solid var(--accent);
  font-family: var(--grotesque);
  font-size: 12px;
  color: var(--accent);
}
/* One thin line, whatever the kind; what would waste a try has it solid. */
.draft-text :deep(.cm-found) {
  text-decoration: underline dotted var(--rule-strong) 2px;
  text-underline-offset: 4px;
}
.draft-text :deep(.cm-found-stop) {
  text-decoration: underline solid var(--accent) 1px;
}
.draft-text :deep(.cm-pointed) {
  background: var(--wash);
  box-shadow: 0 2px 0 var(--accent);
}
.draft-text :deep(.cm-tooltip-autocomplete) {
  background: var(--sheet);
  border: 1px solid var(--rule-strong);
}
.draft-text :deep(.cm-tooltip-autocomplete > ul) {
  max-height: 232px;
  font-family: var(--serif);
  font-size: 15.5px;
}
.draft-text :deep(.cm-tooltip-autocomplete > ul > li) {
  display: flex;
  justify-content: space-between;
  gap: 22px;
  padding: 2px 10px;
}
.draft-text :deep(.cm-tooltip-autocomplete > ul > li[aria-selected]) {
  background: var(--wash);
  color: var(--ink);
  box-shadow: inset 3px 0 var(--accent);
}
.draft-text :deep(.cm-completionDetail) {
  margin: 0;
  font-family: var(--grotesque);
  font-size: 12px;
  font-style: normal;
  color: var(--soft);
}
.draft-text :deep(.cm-completionMatchedText) {
  text-decoration: none;
}
.draft-text :deep(.cm-tooltip-hover) {
  border: 1px solid var(--rule-strong);
  background: var(--sheet);
}
.draft-text :deep(.cm-term) {
  max-width: 380px;
  padding: 8px 12px;
  font-size: 13.5px;
}
.draft-text :deep(.cm-placeholder) {
  color: var(--soft);
}
</style>
