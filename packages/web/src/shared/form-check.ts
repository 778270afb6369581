import { nextTick, type Ref, useTemplateRef } from 'vue'

interface Checkable {
  validate: () => Promise<unknown>
  $el: HTMLElement
}

/**
 * A form of the library that is sent only when every field is sound, by its rules and by what is said of it; the first that is not gets the focus, its message
 * stands under it. `check` is the form's template ref.
 */
export function useFormCheck(): { check: Readonly<Ref<Checkable | null>>; whenSound: (send: () => unknown) => () => Promise<void> } {
  const check = useTemplateRef<Checkable>('check')
  const whenSound = (send: () => unknown) => async () => {
    const form = check.value
    await form?.validate()
    await nextTick()
    // By what is shown: a field may be wrong by its rules, or by what is said of it from outside.
    const wrong = form?.$el.querySelector<HTMLElement>('.v-input--error :is(input, textarea)')
    if (wrong) wrong.focus()
    else await send()
  }
  return { check, whenSound }
}
