<script setup lang="ts">
import { type Aside, dropAside, listAsides, putAside } from '@idolon/contract'
import { applyEdit, type Draft, editBetween, rebaseEdit } from '@idolon/core'
import { computed, ref } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { sayDifference } from '../proofs/difference-words.ts'
import { counted } from '../shared/said.ts'
import type { DraftSession } from './draft-session.ts'
import { useEngines } from '../stores/engines.ts'
import type { Change } from './use-differences.ts'

/** What has changed since the version last tried; keeps one change alone; and the changes that were put aside. */
const props = defineProps<{ promptId: string; session: DraftSession; version: number | undefined; tried: Draft | undefined; changes: Change[] }>()
const notices = useNotices()
const task = useTask()
const open = ref(false)
const FEW = 3
const engines = useEngines()
const say = ({ difference }: Change) => sayDifference(difference, engines.named)

const { data, load, put } = usePageData({
  key: () => ['asides', props.promptId],
  read: (signal) => call(listAsides, { params: { prompt: props.promptId }, signal }),
  on: (event) => event.kind === 'asides' && event.promptId === props.promptId,
})
const asides = computed(() => data.value ?? [])

const shown = computed(() => (open.value ? props.changes : props.changes.slice(0, FEW)))

/** The draft becomes what was tried with this one change; the others wait. */
const keepOnly = (only: Change) =>
  task(async () => {
    const base = props.tried
    if (!base) return
    const others = props.changes.filter((change) => change !== only)
    const before = props.session.draft.value
    // Put aside first: what is taken out of the draft is never only on the screen.
    const kept = await call(putAside, { params: { prompt: props.promptId }, body: { base, asides: others.map(({ difference, edit }) => ({ id: crypto.randomUUID(), says: sayDifference(difference, engines.named).slice(0, 1_000), edit })) } })
    put(kept)
    const mine = kept.slice(0, others.length)
    props.session.apply(editBetween(props.session.draft.value, applyEdit(base, only.edit)))
    notices.show(`Only “${say(only)}” is kept; ${counted(others.length, 'other change')} put aside.`, {
      action: {
        label: 'Undo',
        run: () => {
          props.session.apply(editBetween(props.session.draft.value, before))
          void task(() => Promise.all(mine.map(({ id }) => call(dropAside, { params: { aside: id } }))))
        },
      },
    })
    props.session.view.focus()
  })
const takeUp = (aside: Aside) =>
  task(async () => {
    const edit = rebaseEdit(aside.base, aside.edit, props.session.draft.value)
    if (!edit) {
      notices.show(`The words that “${aside.says}” changed are no longer as they were. It stays put aside; change them by hand, or remove it.`, { problem: true })
      return
    }
    props.session.apply(edit)
    await call(dropAside, { params: { aside: aside.id } })
    await load()
  })
const remove = (aside: Aside) =>
  task(async () => {
    await call(dropAside, { params: { aside: aside.id } })
    await load()
    const again = () => void task(() => call(putAside, { params: { prompt: props.promptId }, body: { base: aside.base, asides: [{ id: aside.id, says: aside.says, edit: aside.edit }] } }).then(load))
    notices.show(`“${aside.says}” is removed.`, { action: { label: 'Undo', run: again } })
  })
</script>

<template>
  <section v-if="changes.length || asides.length" class="since" aria-label="Changes since the last try">
    <template v-if="changes.length">
      <p>
        Since version {{ version }} was tried:
        <strong v-if="changes.length > 1" class="more">{{ counted(changes.length, 'change') }}; what shows cannot be told apart.</strong>
      </p>
      <ul>
        <li v-for="(change, i) in shown" :key="i">
          <span class="words" :title="say(change)">{{ say(change) }}</span>
          <span v-if="change.difference.facet" class="soft">{{ change.difference.facet }}</span>
          <v-btn v-if="changes.length > 1" variant="text" @click="keepOnly(change)">Keep only this</v-btn>
        </li>
      </ul>
      <v-btn v-if="changes.length > FEW" variant="text" @click="open = !open">{{ open ? 'Show fewer' : `Show all ${changes.length}` }}</v-btn>
    </template>
    <template v-if="asides.length">
      <p class="soft">Put aside</p>
      <ul>
        <li v-for="aside in asides" :key="aside.id">
          <span class="words" :title="aside.says">{{ aside.says }}</span>
          <v-btn variant="text" @click="takeUp(aside)">Apply it</v-btn>
          <v-btn variant="text" @click="remove(aside)">Remove</v-btn>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.since {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
  justify-items: start;
  padding-left: 12px;
  border-left: 2px solid var(--rule-strong);
}
ul {
  width: 100%;
  min-width: 0;
}
li {
  display: flex;
  gap: 12px;
  align-items: baseline;
}
.words {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.more {
  color: var(--accent);
  font-weight: 500;
}
</style>
