<script setup lang="ts">
import { useKeyListOpen } from './useKeyListOpen'

const open = useKeyListOpen()
const groups = [
  {
    title: 'Anywhere',
    keys: [
      ['?', 'this list'],
      ['Ctrl Z', 'undo'],
      ['Ctrl Shift Z', 'redo'],
      ['Ctrl S', 'save the leader'],
    ],
  },
  {
    title: 'On the strip',
    keys: [
      ['← →', 'next joint or piece'],
      ['Home End', 'line, fly'],
      ['↑ ↓', 'thicker or thinner spool; a bigger or smaller shot or indicator'],
      ['Shift ← →', 'move the joint, the piece’s lower end or the shot; lengthen a dropper'],
      ['Page Up, Page Down', 'the same, ten steps at once'],
      ['Z', 'zoom to the selection, or to the whole leader'],
      ['Enter', 'to the fields of what is selected'],
    ],
  },
  {
    title: 'Edit the selection',
    keys: [
      ['S', 'split the piece in two'],
      ['M', 'merge it with the one below'],
      ['I', 'insert a piece at the joint, or below the piece'],
      ['Delete', 'take it out or off'],
      ['W', 'hang on a split shot'],
      ['O', 'put on an indicator'],
      ['A', 'tie another fly on a tag, above those that are there'],
      ['B', 'tie another fly in line, behind the point'],
      ['D', 'tie a fly on a dropper at the joint, or below the piece'],
      ['L', 'put a fly in line there'],
      ['G', 'pin this leader as the ghost, or unpin it'],
    ],
  },
  {
    title: 'In the list of found leaders',
    keys: [
      ['↑ ↓', 'the one before or after'],
      ['P', 'pin it for comparison, or unpin it; two at most'],
      ['Enter', 'put it on the bench'],
    ],
  },
]
</script>

<template>
  <el-dialog v-model="open" title="Keys" width="min(640px, 94vw)" append-to-body>
    <section v-for="group in groups" :key="group.title" class="keys">
      <h3>{{ group.title }}</h3>
      <dl>
        <template v-for="[key, does] in group.keys" :key="key">
          <dt class="figure">{{ key }}</dt>
          <dd>{{ does }}</dd>
        </template>
      </dl>
    </section>
  </el-dialog>
</template>

<style scoped>
.keys {
  margin-bottom: 18px;
}

dl {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 5px 14px;
  margin: 8px 0 0;
}

dt {
  color: var(--act);
}

dd {
  margin: 0;
}
</style>
