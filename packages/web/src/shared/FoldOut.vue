<script setup lang="ts">
/** Something more that is looked at by choice: its name, and what unfolds under it. */
defineProps<{ title: string }>()
const open = defineModel<boolean>({ default: false })
</script>

<template>
  <v-expansion-panels class="fold-out" :model-value="open ? 0 : undefined" @update:model-value="open = $event === 0">
    <v-expansion-panel :title="title">
      <template #text><slot /></template>
    </v-expansion-panel>
  </v-expansion-panels>
</template>

<style scoped>
.fold-out :deep(.v-expansion-panel) {
  border-top: 0;
}
.fold-out :deep(.v-expansion-panel-title) {
  width: max-content;
  max-width: 100%;
  gap: 6px;
  padding: 2px 0;
}
.fold-out :deep(.v-expansion-panel-title__icon) {
  margin-inline-start: 0;
}
</style>
