declare module '*.vue' {
  import type { DefineComponent } from 'vue'
  const component: DefineComponent<object, object, unknown>
  export default component
}
declare module 'virtual:contract-validators' {
  type Check = ((value: unknown) => boolean) & { errors?: { instancePath: string; message?: string }[] | null }
  const validators: Record<string, Check>
  export = validators
}
declare module '@fontsource-variable/*'
