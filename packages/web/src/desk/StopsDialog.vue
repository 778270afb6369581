<script setup lang="ts">
import type { Finding } from '@idolon/core'

/** Asked once before a try goes over open stops. */
defineProps<{ stops: readonly Finding[] }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ tryAnyway: []; look: [] }>()
</script>

<template>
  <v-dialog v-model="open" max-width="520" aria-labelledby="stops-title">
    <div class="dialog stops">
      <h2 id="stops-title">{{ stops.length === 1 ? 'This would likely waste the try' : `${stops.length} things would likely waste the try` }}</h2>
      <ul>
        <li v-for="stop in stops" :key="stop.reason">{{ stop.reason }}</li>
      </ul>
      <p class="row-actions">
        <v-btn color="primary" variant="flat" @click="(open = false), emit('look')">Look at {{ stops.length === 1 ? 'it' : 'them' }}</v-btn>
        <v-btn @click="(open = false), emit('tryAnyway')">Try anyway</v-btn>
      </p>
    </div>
  </v-dialog>
</template>

<style scoped>
.stops,
ul {
  display: grid;
  gap: 12px;
}
li {
  padding-left: 12px;
  border-left: 2px solid var(--accent);
}
</style>
