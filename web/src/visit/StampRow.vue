<script setup lang="ts">
import { ref } from 'vue'
import type { TestView } from '../api/client'
import { useHandle } from './handle'
import { typedIn } from './typed'
import { tell } from '../words/words'

const props = defineProps<{ test: TestView }>()
const { add, problem } = useHandle()
const typing = ref(false)
const typed = ref('')
async function set() {
  if (await add({ kind: 'STAMPED', test: props.test.id, value: typedIn(props.test.behind, typed.value) }))
    typing.value = false
}
</script>

<template>
  <div v-if="test.stamp" class="stamp" data-test="stamp">
    <p>
      {{ test.stamp.says }}: <strong class="num">{{ test.stamp.value }} {{ test.unit }}</strong
      ><small class="soft">{{
        test.stamp.typed ? tell('stampRow.asTypedOffThePart') : tell('stampRow.byTheBook')
      }}</small>
    </p>
    <button v-if="!typing" type="button" class="key quiet" data-test="stamp-type" @click="typing = true">
      {{ test.stamp.typed ? tell('stampRow.correctIt') : tell('stampRow.typeThePartsOwn') }}
    </button>
    <form v-else @submit.prevent="set">
      <label class="visually-hidden" for="stamp-value">{{ test.stamp.says }}</label>
      <input id="stamp-value" v-model="typed" class="form-control field" inputmode="decimal" required />
      <button type="submit" class="key next">{{ tell('stampRow.save') }}</button>
    </form>
    <p v-if="typing && problem?.field === 'value'" class="problem" role="alert">{{ problem.message }}</p>
  </div>
</template>

<style scoped lang="scss">
.stamp {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 0.5rem;
  align-items: center;
  margin-bottom: 0.35rem;
}
p {
  margin: 0;
  line-height: 1.2;
  font-size: 0.9375rem;
}
small {
  margin-left: 0.4rem;
}
form,
.problem {
  grid-column: 1 / -1;
}
form {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.5rem;
}
</style>
