<script setup lang="ts">
import { ref } from 'vue'
import { answer, api, type Photo, sendPhoto } from '../api/client'
import { useAttempt } from '../api/useAttempt'
import { usePhotos } from '../api/usePhotos'
import { useHandle } from '../visit/handle'
import { shrunk } from './photo'
import { tell } from '../words/words'

/** Photographs of how it was found: taken, made small here, kept; each on the report unless it is taken off. */
defineProps<{ closed: boolean }>()
const MOST = 20
const { id } = useHandle()
const label = ref('As found')
const { attempt, busy, problem } = useAttempt()
const photos = usePhotos(id)

async function taken(event: Event) {
  const input = event.target as HTMLInputElement
  const files = Array.from(input.files ?? [])
  await attempt(async () => {
    for (const file of files) await sendPhoto(id, label.value.trim() || 'As found', await shrunk(file))
  })
  input.value = ''
  await photos.refetch()
}
function onReport(photo: Photo) {
  return attempt(async () => {
    await answer(
      api.POST('/api/visits/{id}/photos/{photo}/on-report', {
        params: { path: { id, photo: photo.id }, query: { wanted: !photo.onReport } },
      }),
    )
    await photos.refetch()
  })
}
</script>

<template>
  <div class="photos">
    <div v-if="!closed && (photos.data.value?.length ?? 0) < MOST" class="take">
      <input
        v-model="label"
        class="form-control"
        maxlength="120"
        :aria-label="tell('photoStrip.whatIsOnThePhotograph')"
      />
      <label class="key" :class="{ busy }">
        {{ busy ? tell('photoStrip.keepingIt') : tell('photoStrip.photograph') }}
        <input
          class="visually-hidden"
          type="file"
          accept="image/*"
          capture="environment"
          multiple
          :disabled="busy"
          data-test="photo"
          @change="taken"
        />
      </label>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ul v-if="photos.data.value?.length">
      <li v-for="p in photos.data.value" :key="p.id">
        <img :src="`/api/visits/${id}/photos/${p.id}`" :alt="p.label" :width="p.width" :height="p.height" />
        <span>{{ p.label }}</span>
        <label v-if="!closed" class="choice">
          <input type="checkbox" :checked="p.onReport" @change="onReport(p)" /> {{ tell('photoStrip.onTheReport') }}
        </label>
      </li>
    </ul>
    <p v-else-if="photos.data.value" class="soft">
      {{ tell('photoStrip.noPhotographYetTakeOne') }}
    </p>
  </div>
</template>

<style scoped lang="scss">
.take {
  display: flex;
  gap: 0.75rem;
  max-width: 32rem;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 1rem;
  list-style: none;
  padding: 0;
  margin: 0.75rem 0;
}
li {
  display: grid;
  width: 10rem;
}
img {
  width: 100%;
  height: auto;
  border: 1px solid var(--line);
}
</style>
