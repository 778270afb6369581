<script setup lang="ts">
/** What the Shelf has beside prompts. */
const PARTS = [
  { name: 'Prompts', to: '/shelf' },
  { name: 'Templates', to: '/shelf/templates' },
  { name: 'Writing styles', to: '/shelf/writing-styles' },
] as const
</script>

<template>
  <nav class="parts" aria-label="On the Shelf">
    <RouterLink v-for="part in PARTS" :key="part.to" :to="part.to" :aria-current="(part.to === '/shelf' ? $route.path === part.to : $route.path.startsWith(part.to)) ? 'page' : undefined">{{ part.name }}</RouterLink>
  </nav>
</template>

<style scoped>
.parts {
  display: flex;
  gap: 22px;
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
