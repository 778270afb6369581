<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js'
import type { Act } from './act.ts'

/** A menu of acts, with an icon and a word each; what takes something away stands last, behind a rule. */
withDefaults(defineProps<{ label: string; acts: readonly Act[]; icon?: string; variant?: 'text' | 'outlined'; size?: 'small' | 'default' }>(), { icon: mdiDotsHorizontal, variant: 'outlined', size: 'default' })
const MOST_HEIGHT = 480
</script>

<template>
  <v-menu attach="main" location="bottom end" :max-height="MOST_HEIGHT">
    <template #activator="{ props: opens }">
      <v-btn v-bind="opens" :variant="variant" :size="size" :prepend-icon="icon" aria-haspopup="menu">{{ label }}</v-btn>
    </template>
    <v-list role="menu" :aria-label="label">
      <template v-for="act in acts" :key="act.name">
        <v-divider v-if="act.last" />
        <v-list-item v-if="act.href" role="menuitem" :title="act.name" v-bind="act.says ? { subtitle: act.says } : {}" :prepend-icon="act.icon" :href="act.href" download />
        <v-list-item v-else role="menuitem" :title="act.name" v-bind="act.says ? { subtitle: act.says } : {}" :prepend-icon="act.icon" :disabled="act.disabled ?? false" @click="act.disabled || act.run?.()" />
      </template>
    </v-list>
  </v-menu>
</template>
