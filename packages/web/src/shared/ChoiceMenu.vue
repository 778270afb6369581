<script setup lang="ts">
import { mdiPlus } from '@mdi/js'

/** A button whose menu offers things to add or go to; each choice is an act, and none stays chosen. A heading is an item without a value. */
export interface Choice {
  title: string
  value?: string
  detail?: string
}
withDefaults(defineProps<{ label: string; items: readonly Choice[]; icon?: string; disabled?: boolean; variant?: 'text' | 'outlined'; size?: 'small' | 'default' }>(), { icon: mdiPlus, variant: 'text', size: 'default' })
const emit = defineEmits<{ choose: [value: string] }>()
const MOST_HEIGHT = 420
</script>

<template>
  <v-menu attach="main" :max-height="MOST_HEIGHT">
    <template #activator="{ props: opens }">
      <v-btn v-bind="opens" :variant="variant" :size="size" :prepend-icon="icon" :disabled="disabled || items.length === 0" aria-haspopup="menu">{{ label }}</v-btn>
    </template>
    <v-list role="menu" :aria-label="label">
      <template v-for="item in items" :key="item.value ?? item.title">
        <v-list-item v-if="item.value !== undefined" role="menuitem" :title="item.title" v-bind="item.detail ? { subtitle: item.detail } : {}" @click="emit('choose', item.value)" />
        <v-list-subheader v-else :title="item.title" />
      </template>
    </v-list>
  </v-menu>
</template>
