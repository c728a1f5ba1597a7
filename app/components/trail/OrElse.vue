<script setup lang="ts">
import { catalogue } from '#catalogue'
import { hoursInWords, momentInWords, wayOutInWords } from '#wording'
import { computed } from 'vue'
import { useView } from '../../stores/view'
import type { Answer, Here } from '../../workers/trail-guide'

/** What there is besides mending: on foot, a lift, a way out; and where it is settled for good. */
const props = defineProps<{ answer: Answer; here: Here }>()
const { km } = useView()
const kindName = (kind: string) => catalogue.services.find(({ id }) => id === kind)?.name ?? kind
const report = computed(() => props.here.ahead.report)
const settled = computed(() => props.answer.settled)
const offKm = (roadKm: number) => km(Math.abs(roadKm - props.here.roadKm))
</script>

<template>
  <section class="rounded border-[1.5px] border-line px-3 py-2 text-base" aria-labelledby="or-else-title">
    <h2 id="or-else-title" class="text-base">Or else</h2>
    <ul class="space-y-1">
      <li>
        Help: <strong>{{ wayOutInWords(report.nearest) }}</strong><template v-if="report.nearest.waitH > 0"
          >, and {{ hoursInWords(report.nearest.waitH) }} until it opens</template
        >.
      </li>
      <li v-if="report.liftH !== null">
        A lift: <strong>{{ hoursInWords(report.liftH) }}</strong> until it has come, the walk to a signal with it.
      </li>
      <li v-if="report.exit">
        Out of the ride: {{ report.exit.exit }} at {{ report.exit.place }}, {{ hoursInWords(report.exit.walkH) }} on
        foot.
      </li>
      <li v-if="settled.ahead">
        For good: the {{ kindName(settled.ahead.kind) }} at <strong>{{ settled.ahead.name }}</strong>,
        {{ offKm(settled.ahead.roadKm) }} on<template v-if="settled.ahead.arrives !== null"
          >, {{ momentInWords(settled.ahead.opens ?? settled.ahead.arrives) }}</template
        ><template v-if="settled.behind"
          >; or back at {{ settled.behind.name }}, {{ offKm(settled.behind.roadKm) }}</template
        >.
      </li>
      <li v-else-if="settled.behind">
        For good: only back, the {{ kindName(settled.behind.kind) }} at <strong>{{ settled.behind.name }}</strong>,
        {{ offKm(settled.behind.roadKm) }}.
      </li>
      <li v-else>For good: no place on this road is known to have what it wants.</li>
      <li v-if="answer.now.ways.length">
        With nothing done it costs <strong>{{ hoursInWords(answer.now.lossH) }}</strong> in the mean; done as said,
        {{ hoursInWords(answer.now.expectedH) }}.
      </li>
      <li v-else>
        It costs <strong>{{ hoursInWords(answer.now.lossH) }}</strong> in the mean,
        {{ hoursInWords(answer.now.walkH) }} of them on foot.
      </li>
    </ul>
  </section>
</template>
