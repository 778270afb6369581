<script setup lang="ts">
import { SIDES, type Side } from './sides.ts'

/** What stands beside the text. Apart from the Desk, so that it is not drawn again with every key. */
const side = defineModel<Side>({ required: true })
</script>

<template>
  <v-tabs v-model="side" aria-label="Beside the text" grow>
    <v-tab v-for="(name, key) in SIDES" :id="`tab-${key}`" :key="key" :value="key" aria-controls="side-panel">{{ name }}</v-tab>
  </v-tabs>
</template>
