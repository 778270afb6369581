<script setup lang="ts">
import type { Draft, EngineProfile, Output } from '@idolon/core'
import { computed, ref } from 'vue'
import { useEngines } from '../stores/engines.ts'
import type { DraftSession } from './draft-session.ts'
import OutputText from './OutputText.vue'
import SideBySide from './SideBySide.vue'
import TrimOffer from './TrimOffer.vue'

/** Exactly what will be sent; and the same draft as other engines would be given it. */
defineProps<{ session: DraftSession; draft: Draft; output: Output | undefined; profile: EngineProfile | undefined; asked: EngineProfile[] }>()
const emit = defineEmits<{ show: [place: number] }>()
const engines = useEngines()
const open = ref(false)
const keyOf = ({ id, revision }: EngineProfile) => `${id} ${revision}`
/** Older revisions are shown when they are asked for. */
const off = ref(engines.profiles.filter((profile) => !engines.newest.includes(profile)).map(keyOf))
const beside = computed(() => engines.profiles.filter((profile) => !off.value.includes(keyOf(profile))))
const toggle = (profile: EngineProfile) => (off.value = off.value.includes(keyOf(profile)) ? off.value.filter((key) => key !== keyOf(profile)) : [...off.value, keyOf(profile)])
</script>

<template>
  <section v-if="output && profile" class="output" aria-label="Output">
    <p class="soft">
      What
      <v-select v-if="asked.length > 1" label="Engine whose output is shown" :model-value="asked.indexOf(profile)" :items="asked.map((one, i) => ({ title: `${one.name} ${one.revision}`, value: i }))" @update:model-value="emit('show', Number($event))" />
      <template v-else>{{ profile.name }} {{ profile.revision }}</template> is given<template v-if="profile.simulated">. It is simulated: its pictures are drawn here, by rule</template>.
    </p>
    <OutputText :output="output" :profile="profile" :draft="draft">
      <TrimOffer v-if="output.cut.length" :session="session" :draft="draft" :profile="profile" />
    </OutputText>
    <p v-if="engines.profiles.length > 1"><v-btn @click="open = true">Beside other engines</v-btn></p>
    <v-dialog v-model="open" max-width="1240" aria-labelledby="beside-title">
      <div class="dialog beside">
        <h2 id="beside-title">One draft, as each engine is given it</h2>
        <p class="row-actions" role="group" aria-label="Engines shown">
          <v-checkbox v-for="one in engines.profiles" :key="keyOf(one)" :label="`${one.name} ${one.revision}`" :model-value="!off.includes(keyOf(one))" @update:model-value="toggle(one)" />
          <v-btn variant="text" class="close" @click="open = false">Close</v-btn>
        </p>
        <SideBySide :session="session" :draft="draft" :profiles="beside" />
      </div>
    </v-dialog>
  </section>
</template>

<style scoped>
.output,
.beside {
  display: grid;
  gap: 12px;
}
.close {
  margin-left: auto;
}
</style>
