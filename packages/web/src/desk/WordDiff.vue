<script setup lang="ts">
import { wordDiff } from '@idolon/core'
import { computed } from 'vue'

/** Two texts as one: what was taken out is marked as removed, what came in as added. */
const props = defineProps<{ before: string; after: string }>()
const pieces = computed(() => wordDiff(props.before, props.after))
</script>

<template>
  <p class="word-diff">
    <template v-for="(piece, i) in pieces" :key="i"
      ><del v-if="piece.change === 'removed'">{{ piece.text }}</del><ins v-else-if="piece.change === 'added'">{{ piece.text }}</ins><template v-else>{{ piece.text }}</template></template
    >
  </p>
</template>

<style scoped>
.word-diff {
  font-family: var(--serif);
  font-size: 16px;
  line-height: 1.5;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
ins,
del {
  margin: 0 1px;
  padding: 0 1px;
}
ins {
  background: var(--added);
  text-decoration: none;
  border-bottom: 2px solid var(--kept);
}
del {
  background: var(--removed);
  text-decoration: none;
  border-bottom: 2px dotted var(--accent);
}
</style>
