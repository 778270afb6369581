<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import ViewTabs from '../shared/ViewTabs.vue'

/** The same proofs run by run, or on a sheet; what they are narrowed down to goes along. */
const route = useRoute()
const views = computed(() => [
  { name: 'By run', to: { path: '/proofs', query: { ...route.query, by: undefined } }, here: route.path === '/proofs' },
  { name: 'As a sheet', to: { path: '/proofs/sheet', query: route.query }, here: route.path === '/proofs/sheet' },
])
</script>

<template>
  <ViewTabs label="Proofs" :views="views" />
</template>
