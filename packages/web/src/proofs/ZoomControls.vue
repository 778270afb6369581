<script setup lang="ts">
import { mdiFitToPageOutline, mdiMagnifyMinusOutline, mdiMagnifyPlusOutline } from '@mdi/js'
import { keysOf } from '../keys/key-map.ts'

/** Zoom in, out, and the whole picture. `scale` is 1 where the picture fits. */
defineProps<{ scale: number }>()
const emit = defineEmits<{ by: [steps: 1 | -1]; fit: [] }>()
</script>

<template>
  <span class="zoom" role="group" aria-label="Zoom">
    <v-btn v-tooltip="`Zoom out (${keysOf('large', 'zoomOut')})`" variant="text" size="small" :icon="mdiMagnifyMinusOutline" aria-label="Zoom out" @click="emit('by', -1)" />
    <span class="soft">{{ Math.round(scale * 100) }} %</span>
    <v-btn v-tooltip="`Zoom in (${keysOf('large', 'zoomIn')})`" variant="text" size="small" :icon="mdiMagnifyPlusOutline" aria-label="Zoom in" @click="emit('by', 1)" />
    <v-btn v-tooltip="`Fit (${keysOf('large', 'fit')})`" variant="text" size="small" :icon="mdiFitToPageOutline" aria-label="Fit" @click="emit('fit')" />
  </span>
</template>

<style scoped>
.zoom {
  display: flex;
  gap: 4px;
  align-items: center;
}
</style>
