<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js'
import type { PromptAct } from './prompt-acts.ts'

/** Everything that belongs to the prompt as a whole, at its title; the same acts are found by Go to. */
defineProps<{ acts: readonly PromptAct[] }>()
</script>

<template>
  <v-menu location="bottom end">
    <template #activator="{ props: opens }">
      <v-btn v-bind="opens" :prepend-icon="mdiDotsHorizontal" aria-haspopup="menu">This prompt</v-btn>
    </template>
    <v-list role="menu" aria-label="This prompt">
      <template v-for="act in acts" :key="act.name">
        <v-divider v-if="act.last" />
        <v-list-item role="menuitem" :title="act.name" :subtitle="act.says ?? false" :prepend-icon="act.icon" :disabled="act.disabled ?? false" @click="act.run()" />
      </template>
    </v-list>
  </v-menu>
</template>
