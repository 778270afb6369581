<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router'

/** Views that stand beside one another, each with its own address; the one that is open is marked. */
defineProps<{ label: string; views: readonly { name: string; to: RouteLocationRaw; here: boolean }[] }>()
</script>

<template>
  <nav class="view-tabs" :aria-label="label">
    <RouterLink v-for="view in views" :key="view.name" :to="view.to" :aria-current="view.here ? 'page' : undefined">{{ view.name }}</RouterLink>
  </nav>
</template>

<style scoped>
.view-tabs {
  display: flex;
  gap: 22px;
  margin-top: 6px;
  border-bottom: 1px solid var(--rule);
}
a {
  padding: 4px 0 5px;
  border-bottom: 2px solid transparent;
  margin-bottom: -1px;
  text-decoration: none;
}
a[aria-current] {
  border-color: var(--accent);
  font-weight: 600;
}
</style>
