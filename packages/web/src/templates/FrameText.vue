<script setup lang="ts">
/** A template, or what it gives: what is filled in is told from what always stands there by a line under it. */
defineProps<{ parts: readonly { words: string; slot: string }[]; here?: string | undefined }>()
</script>

<template>
  <p class="frame"><span v-for="(part, i) in parts" :key="i" :class="{ slot: part.slot, here: part.slot && part.slot === here }" :title="part.slot || undefined">{{ part.words }}</span></p>
</template>

<style scoped>
.frame {
  font-family: var(--serif);
  font-size: 17px;
  line-height: 1.55;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
.slot {
  border-bottom: 1px solid var(--rule-strong);
}
.slot.here {
  border-bottom: 2px solid var(--accent);
  background: var(--wash);
}
</style>
