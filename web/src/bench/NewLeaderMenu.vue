<script setup lang="ts">
import { attempt } from '@/shell/attempt'
import { DAY_KINDS, useNewLeader, type DayKind } from './useNewLeader'

/** A new leader for a kind of fishing, as a menu beside what lies on the bench. */
const { forKind } = useNewLeader()
const begin = (kind: DayKind) => attempt(() => forKind(kind))
</script>

<template>
  <el-dropdown trigger="click" @command="begin">
    <button class="do" type="button">New leader for ▾</button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item v-for="(words, kind) in DAY_KINDS" :key="kind" :command="kind">
          {{ words }}
        </el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>
