<script setup lang="ts">
import { useNotices } from './notices.ts'

/** The notices that stand now, the newest last, each with its act and a way to close it. */
const notices = useNotices()
</script>

<template>
  <v-snackbar :model-value="notices.shown.length > 0" attach max-width="760" class="notices">
    <!-- The list keeps its own role, so that what is announced stands around it. -->
    <div role="status" aria-live="polite">
      <ul>
        <li v-for="notice in notices.shown" :key="notice.id" class="notice" :class="{ problem: notice.problem }">
          <span>{{ notice.text }}</span>
          <span class="acts">
            <v-btn v-if="notice.action" variant="text" @click="(notice.action.run(), notices.close(notice.id))">{{ notice.action.label }}</v-btn>
            <v-btn variant="text" @click="notices.close(notice.id)">Close</v-btn>
          </span>
        </li>
      </ul>
    </div>
  </v-snackbar>
</template>

<style scoped>
ul {
  display: grid;
  gap: 6px;
}
.notice {
  display: flex;
  gap: 16px;
  align-items: baseline;
  justify-content: space-between;
}
.notice.problem {
  padding-left: 12px;
  border-left: 4px solid var(--accent-soft);
}
.acts {
  display: flex;
}
</style>
