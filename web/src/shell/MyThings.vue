<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { answered, api, type Schemas } from '@/api/client'
import { keepAnswer } from '@/api/keepAnswer'
import { inWords } from '@/api/problems'
import { useSettings } from '@/settings/useSettings'
import DamagedRows from './DamagedRows.vue'
import ForgetPart from './ForgetPart.vue'
import PhonesPart from './PhonesPart.vue'

/** All that is the angler's as one open file, and back: nothing is written over. */
const open = defineModel<boolean>({ required: true })
const settings = useSettings()
const queries = useQueryClient()
const picker = ref<HTMLInputElement>()
const busy = ref(false)
const said = ref('')
const trouble = ref('')
const { data: whose } = useQuery({
  queryKey: ['whose'],
  queryFn: () => answered(api.GET('/api/v1/account-data/whose')),
  enabled: open,
})

async function attempt(work: () => Promise<Schemas['CurrentOwner'] | void>) {
  busy.value = true
  said.value = trouble.value = ''
  try {
    const answer = await work()
    if (!answer) return
    await settings.load()
    await queries.invalidateQueries()
    said.value = answer.words
  } catch (error) {
    trouble.value = inWords(error)
  } finally {
    busy.value = false
  }
}

const keep = () => attempt(() => keepAnswer(api.GET('/api/v1/account-data', { parseAs: 'blob' })))
const forget = (name: string) =>
  attempt(() => answered(api.DELETE('/api/v1/account-data', { params: { query: { name } } })))
const goBack = () => attempt(() => answered(api.POST('/api/v1/account-data/back')))
const bringBack = (file: File) =>
  attempt(() =>
    answered(
      api.POST('/api/v1/account-data', {
        body: {},
        bodySerializer: () => file,
        headers: { 'content-type': 'application/json' },
      }),
    ),
  )

function chosen(event: Event) {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (file) void bringBack(file)
  field.value = ''
}
</script>

<template>
  <el-dialog v-model="open" title="My things" width="min(560px, 94vw)" append-to-body>
    <p>
      You are working with what <strong>{{ whose?.name ?? '…' }}</strong> has: spools, tackle,
      leaders with all their revisions, waters, planned days and what happened on them, landings,
      practice and pull tests.
    </p>
    <div class="acts">
      <button class="do do--main" type="button" :disabled="busy" @click="keep">
        Export everything
      </button>
      <p class="quiet">One open file (JSON), to archive or to move to another bench.</p>
      <a class="do" href="/api/v1/photos/files/log.zip" download>The log with its photos</a>
      <p class="quiet">
        Photos are separate files (zip). Import them under Days, What happened, after the export of
        everything.
      </p>
      <button class="do" type="button" :disabled="busy" @click="picker?.click()">
        Import a file …
      </button>
      <p class="quiet">It replaces what you see. What is there now is kept, untouched.</p>
      <template v-if="whose?.others">
        <button class="do" type="button" :disabled="busy" @click="goBack">
          Go back to what was there before
        </button>
        <p class="quiet">You can switch between the two as often as you like.</p>
      </template>
    </div>
    <input
      ref="picker"
      type="file"
      accept=".json,application/json"
      class="unseen"
      aria-label="Export file to import"
      @change="chosen"
    />
    <p v-if="trouble" class="refusal" role="alert">{{ trouble }}</p>
    <p v-else-if="said" role="status">{{ said }}</p>
    <p v-else-if="busy" class="quiet" role="status">One moment …</p>
    <DamagedRows />
    <PhonesPart />
    <ForgetPart v-if="whose" :name="whose.name" :busy="busy" @forget="forget" />
    <p class="quiet">
      A backup is also made every day and kept for two weeks. Restore one with ./start --restore.
    </p>
  </el-dialog>
</template>

<style scoped>
.acts a {
  justify-content: center;
  text-align: center;
}

.acts {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  align-items: center;
  gap: 10px 14px;
  margin: 14px 0;
}

@media (max-width: 820px) {
  .acts {
    grid-template-columns: minmax(0, 1fr);
    gap: 6px;
  }
}
</style>
