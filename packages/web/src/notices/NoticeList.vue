<script setup lang="ts">
import { useNotices } from './notices.ts'

const notices = useNotices()
</script>

<template>
  <div class="notices" role="status" aria-live="polite">
    <div v-for="notice in notices.shown" :key="notice.id" class="notice" :class="{ problem: notice.problem }">
      <span>{{ notice.text }}</span>
      <v-btn v-if="notice.action" variant="text" @click="(notice.action.run(), notices.close(notice.id))">{{ notice.action.label }}</v-btn>
      <v-btn variant="text" @click="notices.close(notice.id)">Close</v-btn>
    </div>
  </div>
</template>

<style scoped>
.notices {
  position: fixed;
  left: 50%;
  bottom: 20px;
  transform: translateX(-50%);
  z-index: 3000;
  display: grid;
  gap: 8px;
  width: max-content;
  max-width: min(760px, calc(100vw - 40px));
}
.notice {
  display: flex;
  gap: 16px;
  align-items: baseline;
  padding: 10px 16px;
  color: var(--paper);
  background: var(--ink);
}
.notice.problem {
  border-left: 6px solid var(--accent-soft);
}
</style>
