<script setup lang="ts">
import { renameTag, type TagCount } from '@idolon/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'

/** All tags with their counts: renamed, joined by giving one the name of another, or taken away. */
const props = defineProps<{ tags: TagCount[] }>()
const emit = defineEmits<{ changed: []; close: [] }>()
const notices = useNotices()
const task = useTask()
const find = ref('')
const shown = computed(() => props.tags.filter(({ tag }) => tag.toLowerCase().includes(find.value.trim().toLowerCase())))

const rename = (from: string, to: string) =>
  task(async () => {
    if (to.trim() === from) return
    const joins = props.tags.some(({ tag }) => tag === to.trim())
    const { changed } = await call(renameTag, { body: { from, to: to.trim() } })
    notices.show(to.trim() ? `“${from}” is “${to.trim()}” now in ${counted(changed.length, 'prompt')}${joins ? ', together with those that had it' : ''}.` : `“${from}” is removed from ${counted(changed.length, 'prompt')}.`)
    emit('changed')
  })
</script>

<template>
  <v-dialog :model-value="true" max-width="560" aria-labelledby="tags-title" @update:model-value="emit('close')">
    <div class="dialog tags">
      <h1 id="tags-title">Tags</h1>
      <p>Write another name over a tag; the name of another tag joins the two.</p>
      <v-text-field v-model="find" label="Find a tag" type="search" placeholder="Find a tag" />
      <ul>
        <li v-for="one in shown" :key="one.tag">
          <v-text-field :aria-label="`Name of the tag ${one.tag}`" :model-value="one.tag" maxlength="60" @change="rename(one.tag, ($event.target as HTMLInputElement).value)" />
          <span class="soft">{{ counted(one.count, 'prompt') }}</span>
          <v-btn variant="text" :aria-label="`Remove the tag ${one.tag}`" @click="rename(one.tag, '')">Remove</v-btn>
        </li>
      </ul>
      <p v-if="!tags.length" class="soft">No tag yet. Tags are given on the Desk, or to many prompts at once on the Shelf.</p>
      <p class="row-actions"><v-btn @click="emit('close')">Close</v-btn></p>
    </div>
  </v-dialog>
</template>

<style scoped>
.tags {
  display: grid;
  gap: 10px;
}
ul {
  display: grid;
  gap: 4px;
  max-height: 46vh;
  overflow: auto;
}
li {
  display: grid;
  grid-template-columns: 1fr 100px auto;
  gap: 12px;
  align-items: center;
}
</style>
