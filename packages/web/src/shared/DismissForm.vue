<script setup lang="ts">
import { ref } from 'vue'
import { vFocusFirst } from './focus-first.ts'

/** Asks why something that was found is right as it stands; Escape leaves it standing. */
const { most = 500 } = defineProps<{ /** Characters of the reason. */ most?: number }>()
const emit = defineEmits<{ dismiss: [reason: string]; leave: [] }>()
const reason = ref('')
</script>

<template>
  <form class="dismiss" @submit.prevent="emit('dismiss', reason.trim())" @keydown.escape.stop="emit('leave')">
    <v-text-field v-model="reason" v-focus-first label="Why it is right here" :maxlength="most" placeholder="why it is right here" />
    <v-btn variant="text" type="submit">Dismiss</v-btn>
  </form>
</template>

<style scoped>
.dismiss {
  display: flex;
  gap: 12px;
}
</style>
