import { defineNuxtPlugin } from '#imports'
import { watchEffect } from 'vue'
import { useView } from '../stores/view'

/** Day or night colours, on every page. Not as part of its head, which waits while a page is changed for another. */
export default defineNuxtPlugin(() => {
  const { scheme } = useView()
  watchEffect(() => (document.documentElement.dataset.scheme = scheme.value))
})
