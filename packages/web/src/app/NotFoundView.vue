<script setup lang="ts">
withDefaults(defineProps<{ what?: string }>(), { what: 'page' })
</script>

<template>
  <main class="page nowhere">
    <h1>There is no such {{ what }} here</h1>
    <p>It may have been removed, or the address is not whole. Nothing else is affected.</p>
    <div class="row-actions">
      <v-btn color="primary" variant="flat" to="/">Begin</v-btn>
      <v-btn to="/shelf">Look on the Shelf</v-btn>
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
