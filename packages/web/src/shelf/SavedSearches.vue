<script setup lang="ts">
import { deleteSearch, saveSearch, type SavedSearch, listSearches } from '@idolon/contract'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useNotices, useTask } from '../notices/notices.ts'

/** Searches kept under a name: words that bring them back, and a way to keep the one at hand. */
const props = defineProps<{ given: Record<string, string> }>()
const notices = useNotices()
const task = useTask()
const { data, load } = usePageData<SavedSearch[]>({ key: () => ['saved searches'], read: (signal) => call(listSearches, { signal }) })
const all = computed(() => data.value ?? [])
const naming = ref(false)
const name = ref('')
const field = useTemplateRef<HTMLInputElement>('field')
const newId = () => crypto.randomUUID()
const same = (query: Record<string, string>) => JSON.stringify(Object.entries(query).sort()) === JSON.stringify(Object.entries(props.given).sort())
const here = computed(() => all.value.find(({ query }) => same(query)))

async function begin(): Promise<void> {
  naming.value = true
  name.value = props.given['q'] ?? Object.values(props.given)[0] ?? ''
  await nextTick()
  field.value?.select()
}
const keep = (search: Pick<SavedSearch, 'id' | 'name' | 'query'>) =>
  task(async () => {
    await call(saveSearch, { params: { search: search.id }, body: { name: search.name, query: search.query } })
    naming.value = false
    await load()
  })
const remove = (search: SavedSearch) =>
  task(async () => {
    await call(deleteSearch, { params: { search: search.id } })
    await load()
    notices.show(`The search “${search.name}” is removed.`, { action: { label: 'Restore it', run: () => void keep(search) } })
  })
</script>

<template>
  <div class="kept-searches">
    <template v-if="all.length">
      <span class="soft">Saved searches</span>
      <RouterLink v-for="search in all" :key="search.id" :to="{ path: '/shelf', query: search.query }" :aria-current="search === here ? 'true' : undefined">{{ search.name }}</RouterLink>
    </template>
    <v-btn v-if="here" variant="text" @click="remove(here)">Delete “{{ here.name }}”</v-btn>
    <form v-else-if="naming" @submit.prevent="name.trim() && keep({ id: newId(), name: name.trim(), query: given })"><v-text-field ref="field" v-model="name" label="Name of the search" maxlength="80" @keydown.escape="naming = false" /><v-btn variant="text" :disabled="!name.trim()" type="submit">Save</v-btn></form>
    <v-btn v-else-if="Object.keys(given).length" variant="text" @click="begin">Save this search</v-btn>
  </div>
</template>

<style scoped>
.kept-searches {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: center;
}
.kept-searches form {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
[aria-current] {
  font-weight: 600;
}
</style>
