import { defineComponent, h } from 'vue'

/** A link that says where it leads. */
export const NuxtLink = defineComponent({
  props: { to: { type: Object as () => { path: string; query: { next: string } }, required: true } },
  setup: (props, { slots }) => {
    return () => h('a', { href: `${props.to.path}?next=${props.to.query.next}` }, slots.default?.())
  },
})
