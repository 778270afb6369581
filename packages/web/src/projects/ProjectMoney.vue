<script setup lang="ts">
import { type Project, setMoney } from '@idolon/contract'
import { computed, ref, watch } from 'vue'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { useEngines } from '../stores/engines.ts'
import { useModels } from '../stores/models.ts'
import { between, needed, shaped } from '../shared/field-rules.ts'
import { sayMoney } from './money.ts'

/** What a unit costs the writer, and the ceiling that no run may pass. */
const props = defineProps<{ project: Project }>()
const emit = defineEmits<{ changed: [project: Project] }>()
const engines = useEngines()
const models = useModels()
void models.load()
const notices = useNotices()
const task = useTask()

const currency = ref('')
const prices = ref<Record<string, string>>({})
const ceiling = ref('')
const unit = ref('')
const units = computed(() => [...new Set([...engines.profiles.map(({ costUnit }) => costUnit), ...models.all.map(({ profile }) => profile.costUnit), ...props.project.spent.map((amount) => amount.unit)])].sort())
watch(
  () => props.project,
  (project) => {
    currency.value = project.currency
    prices.value = Object.fromEntries(project.rates.map(({ unit: of, price }) => [of, String(price)]))
    ceiling.value = project.ceiling ? String(project.ceiling.amount) : ''
    unit.value = project.ceiling?.unit ?? units.value[0] ?? project.currency
  },
  { immediate: true },
)

const isCurrency = shaped(/^[a-z]{3}$/i, 'Three letters, such as EUR.')
const isAmount = between(0, Infinity)
const number = (text: string | number): number | undefined => (String(text).trim() !== '' && Number.isFinite(Number(text)) && Number(text) >= 0 ? Number(text) : undefined)
const save = () =>
  task(async () => {
    // What is not sound is said under its field; an unsound price must not be taken for none.
    if (currency.value.trim() === '' || isCurrency(currency.value) !== true || [ceiling.value, ...Object.values(prices.value)].some((given) => isAmount(given) !== true)) return
    const code = currency.value.trim().toUpperCase()
    const rates = Object.entries(prices.value).flatMap(([of, price]) => (number(price) === undefined ? [] : [{ unit: of, price: number(price)! }]))
    const amount = number(ceiling.value)
    emit('changed', await call(setMoney, { params: { project: props.project.id }, body: { currency: code, rates, ceiling: amount === undefined ? null : { unit: unit.value === props.project.currency ? code : unit.value, amount } } }))
    notices.show('Saved.')
  })
const left = computed(() => sayMoney.left(props.project))
</script>

<template>
  <section class="money" aria-label="Money">
    <div class="row">
      <v-text-field v-model="currency" label="Currency" maxlength="3" :rules="[needed, isCurrency]" class="code" @change="save" />
      <v-text-field v-for="of in units" :key="of" v-model="prices[of]" :label="`Price of a ${of}`" inputmode="decimal" placeholder="not known" :rules="[isAmount]" class="price" @change="save" />
      <v-text-field v-model="ceiling" label="Ceiling" inputmode="decimal" placeholder="none" :rules="[isAmount]" class="price" @change="save" />
      <v-select v-model="unit" label="In" class="unit" :items="[...units, project.currency].map((of) => ({ title: of === project.currency ? of : `${of}s`, value: of }))" @update:model-value="ceiling !== '' && save()" />
    </div>
    <p v-if="left" :class="{ over: left.over }">{{ left.says }}</p>
  </section>
</template>

<style scoped>
.money {
  display: grid;
  gap: 8px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.code {
  width: 100px;
}
.price,
.unit {
  width: 150px;
}
.over {
  color: var(--accent);
}
</style>
