<script setup lang="ts">
import { useRoute } from 'vue-router'
import { sendPhoto } from '../api/client'
import { useAttempt } from '../api/useAttempt'
import { usePhotos } from '../api/usePhotos'
import { useHandle } from './handle'
import { shrunk } from './photo'
import { tell } from '../words/words'

/** The nameplate and the door chart, photographed first and typed from the picture later. */
const { id } = useHandle()
const route = useRoute()
const { attempt, busy, problem } = useAttempt()
const photos = usePhotos(id)
const plates = [
  { id: 'nameplate', label: tell('platePhotos.nameplate') },
  { id: 'chart', label: tell('platePhotos.doorChart') },
]
const kept = (label: string) => photos.data.value?.some((p) => p.label === label) ?? false

async function taken(label: string, event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file) await attempt(async () => sendPhoto(id, label, await shrunk(file)))
  input.value = ''
  await photos.refetch()
}
</script>

<template>
  <section class="plates" :aria-label="tell('platePhotos.photographFirst')" data-test="plates">
    <span>{{ tell('platePhotos.photographFirst') }}</span>
    <label v-for="p in plates" :key="p.id" class="key">
      {{ kept(p.label) ? '✓ ' : '' }}{{ p.label }}
      <input
        class="visually-hidden"
        type="file"
        accept="image/*"
        capture="environment"
        :disabled="busy"
        :data-test="`photo-${p.id}`"
        @change="taken(p.label, $event)"
      />
    </label>
    <RouterLink class="key" :to="{ name: 'unit', params: route.params }" data-test="to-plate">{{
      tell('nameplateCard.type')
    }}</RouterLink>
    <span v-if="busy" role="status">{{ tell('photoStrip.keepingIt') }}</span>
    <p v-if="problem" class="problem m-0" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped lang="scss">
.plates {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 0.75rem;
}
.key:focus-within {
  outline: 3px solid var(--next);
}
</style>
