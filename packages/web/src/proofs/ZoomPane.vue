<script setup lang="ts">
import { ref } from 'vue'
import { useZoom, type ZoomState } from './zoom.ts'

/** A picture that moves together with others of the same zoom. */
const props = defineProps<{ sha256: string; alt: string; state: ZoomState }>()
const frame = ref<HTMLElement>()
const zoom = useZoom(frame, props.state)
</script>

<template>
  <div ref="frame" class="pane"><img :src="`/api/pictures/${sha256}`" :alt="alt" draggable="false" :style="{ transform: zoom.transform.value }" /></div>
</template>

<style scoped>
.pane {
  min-width: 0;
  min-height: 0;
  overflow: hidden;
  background: var(--wash);
  touch-action: none;
}
img {
  width: 100%;
  height: 100%;
  object-fit: contain;
  user-select: none;
}
</style>
