<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { keepAnswer } from '@/api/keepAnswer'
import { inWords } from '@/api/problems'
import { notify } from './notify'

type Card = Schemas['DamagedCard']

/** Damaged data any more of the kinds named, or of all: told, and given out as it is. */
const props = defineProps<{ kinds?: Card['kind'][] }>()
const { data: all } = useQuery({
  queryKey: ['damaged'],
  queryFn: () => answered(api.GET('/api/v1/stored-values/damaged')),
})
const rows = computed(() =>
  (all.value ?? []).filter((row) => !props.kinds || props.kinds.includes(row.kind)),
)

function keep({ kind, row_id }: Card) {
  const params = { path: { kind, row_id } }
  keepAnswer(
    api.GET('/api/v1/stored-values/damaged/{kind}/{row_id}', { params, parseAs: 'blob' }),
  ).catch((error: unknown) => notify(inWords(error), 'trouble'))
}
</script>

<template>
  <section v-if="rows.length" class="damaged refusal" aria-label="Damaged data">
    <p v-for="row in rows" :key="row.row_id">
      <strong>{{ row.title || row.kind }}</strong> is damaged. {{ row.why }} Nothing is lost.
      <button class="do" type="button" @click="keep(row)">Keep it as a file</button>
    </p>
  </section>
</template>

<style scoped>
.damaged {
  margin: 10px 0;
}

.damaged p + p {
  margin-top: 6px;
}
</style>
