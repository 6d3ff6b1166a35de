<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answered, api } from '@/api/client'
import { inWords } from '@/api/problems'
import { useSettings } from '@/settings/useSettings'
import { svgSource } from '@/widgets/svgSource'
import { useBench } from './useBench'

/** The leader on the bench as a QR code, to be read off this screen or off its tying card. */
const open = defineModel<boolean>({ required: true })
const bench = useBench()
const settings = useSettings()
const body = computed(() => ({ design: bench.design!, units: settings.units }))
const { data: picture, error } = useQuery({
  queryKey: ['qr', body],
  queryFn: () =>
    answered<string>(api.POST('/api/v1/sharing/qr', { body: body.value, parseAs: 'text' })),
  enabled: computed(() => open.value && bench.design !== null),
  retry: false,
})
const source = computed(() => picture.value && svgSource(picture.value))
</script>

<template>
  <el-dialog v-model="open" title="Share this leader" width="min(440px, 94vw)" append-to-body>
    <p v-if="error" class="refusal" role="alert">{{ inWords(error) }}</p>
    <template v-else>
      <img v-if="source" class="code" :src="source" :alt="`QR code of ${bench.design?.title}`" />
      <p>
        Another angler scans it with Nine Knots (File, Scan a code) and gets this leader, built from
        their nearest spools. It includes the notes but not your name. Tie prints it on the back of
        the card.
      </p>
      <a v-if="source" class="do" :href="source" :download="`${bench.design?.title}.svg`"
        >Save the picture</a
      >
    </template>
  </el-dialog>
</template>

<style scoped>
.code {
  display: block;
  width: 100%;
  margin-bottom: 10px;
}
</style>
