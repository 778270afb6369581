<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import ViewTabs from '../shared/ViewTabs.vue'

/** What the Shelf has beside prompts. */
const route = useRoute()
const views = computed(() => [
  { name: 'Prompts', to: '/shelf', here: route.path === '/shelf' },
  { name: 'Templates', to: '/shelf/templates', here: route.path.startsWith('/shelf/templates') },
  { name: 'Writing styles', to: '/shelf/writing-styles', here: route.path.startsWith('/shelf/writing-styles') },
])
</script>

<template>
  <ViewTabs label="On the Shelf" :views="views" />
</template>
