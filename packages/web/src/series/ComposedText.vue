<script setup lang="ts">
import type { Scene } from '@idolon/contract'
import { computed } from 'vue'

/** A scene’s text with its phrases told apart: what a part says has a rule under it, the scene’s own words have none. */
const props = defineProps<{ scene: Scene; nameOf: (part: string) => string }>()
const pieces = computed(() => {
  const found: { text: string; from?: string }[] = []
  let at = 0
  for (const mark of props.scene.marks) {
    if (mark.kind !== 'from' || mark.from < at) continue
    if (mark.from > at) found.push({ text: props.scene.text.slice(at, mark.from) })
    found.push({ text: props.scene.text.slice(mark.from, mark.to), from: mark.source.id })
    at = mark.to
  }
  if (at < props.scene.text.length) found.push({ text: props.scene.text.slice(at) })
  return found
})
</script>

<template>
  <p class="composed"><template v-for="(piece, i) in pieces" :key="i"><span v-if="piece.from" class="given" :title="`From ${nameOf(piece.from)}`">{{ piece.text }}</span><template v-else>{{ piece.text }}</template></template></p>
</template>

<style scoped>
.composed {
  font-family: var(--serif);
  font-size: 15.5px;
  line-height: 1.5;
  overflow-wrap: anywhere;
}
.given {
  border-bottom: 1px dotted var(--rule-strong);
}
</style>
