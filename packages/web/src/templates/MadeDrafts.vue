<script setup lang="ts">
import { readOffers, takeOffers, type TemplateOffer, type TemplateWhole } from '@idolon/contract'
import { ref, shallowRef, watch } from 'vue'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { sayDifference } from '../proofs/difference-words.ts'
import { counted, sayRecord } from '../shared/said.ts'

/** The drafts that were made from a template, and what its newest version would change in them: to take or to leave, one by one or all. */
const props = defineProps<{ whole: TemplateWhole }>()
const emit = defineEmits<{ changed: [] }>()
const notices = useNotices()
const task = useTask()
const offers = shallowRef<TemplateOffer[]>([])
const busy = ref(false)
const SHOWN = 30
const all = ref(false)

watch(() => [props.whole.template.id, props.whole.template.version, props.whole.template.behind], () => {
  offers.value = []
  if (props.whole.template.behind) void task(async () => (offers.value = await call(readOffers, { params: { template: props.whole.template.id } })))
}, { immediate: true })

async function decide(take: readonly TemplateOffer[], leave: readonly TemplateOffer[]): Promise<void> {
  busy.value = true
  await task(async () => {
    const { taken, passedOver } = await call(takeOffers, { params: { template: props.whole.template.id }, body: { take: take.map(({ promptId, revision }) => ({ promptId, revision })), leave: leave.map(({ promptId }) => promptId) } })
    if (taken.length) notices.show(`${counted(taken.length, 'draft')} changed.`)
    if (passedOver.length) notices.show(`Passed over, since they were edited: ${passedOver.slice(0, 5).join('; ')}.`, { problem: true })
    emit('changed')
  })
  busy.value = false
}
</script>

<template>
  <section v-if="whole.made.length" class="made" aria-labelledby="made-title">
    <h3 id="made-title">Made from it <span class="soft">{{ counted(whole.made.length, 'draft') }}, {{ whole.template.keepers ? `${whole.template.keepers} kept` : 'none kept yet' }}</span></h3>
    <div v-if="offers.length" class="offers">
      <p><strong>The template has changed since {{ counted(offers.length, 'draft') }} {{ offers.length === 1 ? 'was' : 'were' }} made.</strong> <v-btn v-if="offers.some(({ meets }) => meets)" :disabled="busy" @click="decide(offers.filter(({ meets }) => meets), [])">Accept the change in all that it fits</v-btn> <v-btn variant="text" :disabled="busy" @click="decide([], offers)">Reject all</v-btn></p>
      <ul>
        <li v-for="offer in offers" :key="offer.promptId" class="offer">
          <RouterLink :to="`/desk/${offer.promptId}`">{{ offer.title }}</RouterLink>
          <ul class="differences">
            <li v-for="(difference, i) in offer.differences" :key="i">{{ sayDifference(difference) }}</li>
            <li v-if="!offer.differences.length" class="soft">nothing in its words</li>
          </ul>
          <span v-if="offer.meets" class="row-actions"><v-btn variant="text" :disabled="busy" @click="decide([offer], [])">Accept</v-btn><v-btn variant="text" :disabled="busy" @click="decide([], [offer])">Reject</v-btn></span>
          <span v-else class="row-actions"><span class="soft">edited since</span><v-btn variant="text" :disabled="busy" @click="decide([], [offer])">Reject</v-btn></span>
        </li>
      </ul>
    </div>
    <ul>
      <li v-for="one in all ? whole.made : whole.made.slice(0, SHOWN)" :key="one.promptId" class="one">
        <RouterLink :to="`/desk/${one.promptId}`">{{ one.title }}</RouterLink>
        <span class="soft">{{ Object.entries(one.values).filter(([, value]) => value).map(([, value]) => value).join('; ') || 'as it is' }}</span>
        <span class="soft counts">{{ sayRecord(one) }}</span>
      </li>
    </ul>
    <v-btn v-if="!all && whole.made.length > SHOWN" variant="text" @click="all = true">Show all {{ whole.made.length.toLocaleString('en') }}</v-btn>
  </section>
</template>

<style scoped>
.made,
.offers {
  display: grid;
  gap: 8px;
}
h3 .soft {
  margin-left: 6px;
  font-weight: 400;
}
.offers {
  padding: 8px 14px;
  border-left: 3px solid var(--accent);
}
.offer,
.one {
  display: grid;
  grid-template-columns: minmax(140px, 1.1fr) minmax(0, 2fr) auto;
  gap: 14px;
  align-items: baseline;
  padding: 4px 0;
  border-top: 1px solid var(--rule);
}
.one a,
.offer a {
  font-family: var(--serif);
  font-size: 15.5px;
}
.counts {
  white-space: nowrap;
}
</style>
