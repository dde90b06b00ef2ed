/**
 * `v-kept="value"` shows a value in a field and leaves the field alone while somebody types in it: a plain
 * `:value` is put back at every update of the
 * component, and what was typed is lost when anything else on the page changes.
 */
export default defineNuxtPlugin(({ vueApp }) => {
  const show = (el: HTMLInputElement, value: unknown) => {
    el.value = String(value ?? '')
    // What is kept stands beside it, so that it can be told whether somebody has typed something else.
    el.dataset.kept = el.value
  }
  vueApp.directive<HTMLInputElement, unknown>('kept', {
    mounted: (el, { value }) => show(el, value),
    updated: (el, { value, oldValue }) => {
      if (value !== oldValue || document.activeElement !== el) show(el, value)
    },
  })
})
