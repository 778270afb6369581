<script setup lang="ts">
withDefaults(defineProps<{ what?: string }>(), { what: 'page' })
</script>

<template>
  <main class="page nowhere">
    <h1>There is no such {{ what }} here</h1>
    <p>It may have been removed, or the address is not whole. Nothing else is affected.</p>
    <div class="row-actions">
      <RouterLink class="do" to="/">Begin</RouterLink>
      <RouterLink class="quiet" to="/shelf">Look on the Shelf</RouterLink>
    </div>
  </main>
</template>

<style scoped>
.nowhere {
  display: grid;
  gap: 16px;
  justify-items: start;
  max-width: 640px;
}
</style>
