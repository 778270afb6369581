<script setup lang="ts">
import { computed } from 'vue'

/** A day as the calendar's field of the library, kept as “2026-11-30” or as nothing. */
const props = defineProps<{ label: string; day: string }>()
const emit = defineEmits<{ choose: [day: string] }>()

/** What opens the calendar is the frame of the field, which has no role that could be open or closed. */
const MENU = { activatorProps: { 'aria-expanded': undefined, 'aria-haspopup': undefined, 'aria-controls': undefined, 'aria-owns': undefined } }
const two = (number: number) => String(number).padStart(2, '0')
/** Days are the writer's own, not those of Greenwich. */
const written = (date: Date) => `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`
const date = computed(() => {
  const [year, month, day] = props.day.split('-').map(Number)
  return year && month && day ? new Date(year, month - 1, day) : null
})
const choose = (value: unknown) => emit('choose', value instanceof Date && !Number.isNaN(value.getTime()) ? written(value) : '')
</script>

<template>
  <v-date-input :menu-props="MENU" :model-value="date" :label="label" placeholder="30/11/2026" input-format="dd/mm/yyyy" clearable prepend-icon="" @update:model-value="choose" />
</template>
