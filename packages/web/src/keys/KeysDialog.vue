<script setup lang="ts">
import type { Verdict } from '@idolon/contract'
import { computed } from 'vue'
import { keyLines } from './key-map.ts'
import { letterKeys, VERDICTS, verdictKeys } from './letters.ts'

const open = defineModel<boolean>({ required: true })
const groups = computed(keyLines)

function setKey(verdict: Verdict, event: Event): void {
  const input = event.target as HTMLInputElement
  const key = input.value.trim().toLowerCase().slice(-1)
  const taken = VERDICTS.some((other) => other !== verdict && verdictKeys.value[other] === key)
  if (/^[a-z0-9]$/.test(key) && !taken) verdictKeys.value = { ...verdictKeys.value, [verdict]: key }
  input.value = verdictKeys.value[verdict]
}
</script>

<template>
  <v-dialog v-model="open" max-width="720" aria-labelledby="keys-title">
    <div class="dialog">
      <h1 id="keys-title">Keys</h1>
      <div class="groups">
        <section v-for="group in groups" :key="group.where">
          <h2>{{ group.where }}</h2>
          <dl>
            <template v-for="line in group.lines" :key="line.keys">
              <dt>{{ line.keys }}</dt>
              <dd>{{ line.does }}</dd>
            </template>
          </dl>
        </section>
        <section>
          <h2>Letters</h2>
          <v-checkbox v-model="letterKeys" label="Single letters act on the picture or phrase that has the focus" class="switch" />
          <p v-for="verdict in VERDICTS" :key="verdict" class="letter">
            <label :for="`key-${verdict}`">{{ verdict }}</label>
            <v-text-field :id="`key-${verdict}`" :model-value="verdictKeys[verdict]" :disabled="!letterKeys" maxlength="2" size="2" @change="setKey(verdict, $event)" />
          </p>
        </section>
      </div>
      <v-btn @click="open = false">Close</v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
.groups {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(290px, 1fr));
  gap: 20px 32px;
  margin: 16px 0 20px;
}
dl {
  display: grid;
  grid-template-columns: 128px 1fr;
  gap: 4px 12px;
  margin: 8px 0 0;
}
dt {
  font-family: var(--mono);
  font-size: 12px;
}
dd {
  margin: 0;
}
.switch {
  display: block;
  margin: 8px 0;
}
.letter {
  display: flex;
  gap: 12px;
  align-items: center;
}
.letter label {
  width: 64px;
}
</style>
