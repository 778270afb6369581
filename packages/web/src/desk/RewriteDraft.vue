<script setup lang="ts">
import type { Style } from '@idolon/core/reader'
import { useActions } from '../go-to/actions.ts'
import { useNotices } from '../notices/notices.ts'
import type { DraftSession } from './draft-session.ts'

/** Writes the whole draft as sentences or as a list, as one edit, and says which words it had no facet for. */
const props = defineProps<{
  session: DraftSession
  shown: boolean
}>()
const notices = useNotices()

async function rewrite(style: Style): Promise<void> {
  const before = props.session.draft.value
  const { edit, unplaced } = await props.session.reading.ask('rewrite', { draft: before, style })
  // Typed on meanwhile: the answer is for another text.
  if (props.session.draft.value !== before) return
  props.session.apply(edit)
  const left = unplaced.length ? ` No facet was found for ${unplaced.map((words) => `“${words}”`).join(', ')}; the words are kept${style === 'list' ? '' : ' at the end'}.` : ''
  notices.show(`${style === 'list' ? 'Written as a list.' : 'Written as sentences.'}${left}`, { action: { label: 'Undo', run: props.session.undo } })
}
useActions(() => [
  { name: 'Write it as sentences', words: 'rewrite prose convert', run: () => void rewrite('sentences') },
  { name: 'Write it as a list', words: 'rewrite keywords tags convert', run: () => void rewrite('list') },
])
</script>

<template>
  <p v-if="shown" class="rewriting">
    <span class="soft">Write it</span>
    <v-btn variant="text" size="small" @click="rewrite('sentences')">as sentences</v-btn>
    <v-btn variant="text" size="small" @click="rewrite('list')">as a list</v-btn>
  </p>
</template>

<style scoped>
.rewriting {
  display: flex;
  gap: 4px;
  align-items: center;
  font-size: 13px;
}
</style>
