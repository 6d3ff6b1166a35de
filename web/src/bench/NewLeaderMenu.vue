<script setup lang="ts">
import { DAY_KINDS, useNewLeader } from './newLeader'

/** A new leader for a kind of fishing, as a menu beside what lies on the bench. */
const begin = useNewLeader()
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
