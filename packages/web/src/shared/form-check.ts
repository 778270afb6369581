import { type Ref, useTemplateRef } from 'vue'

interface Checkable {
  validate: () => Promise<{ valid: boolean; errors: readonly { id: string | number }[] }>
  $el: HTMLElement
}

/**
 * A form of the library that is sent only when every field is sound; the first one that is not gets the focus, its message
 * stands under it. `check` is the form's template ref.
 */
export function useFormCheck(): { check: Readonly<Ref<Checkable | null>>; whenSound: (send: () => unknown) => () => Promise<void> } {
  const check = useTemplateRef<Checkable>('check')
  const whenSound = (send: () => unknown) => async () => {
    const form = check.value
    const { valid, errors } = form ? await form.validate() : { valid: true, errors: [] }
    if (valid) await send()
    else document.getElementById(String(errors[0]?.id))?.focus()
  }
  return { check, whenSound }
}
