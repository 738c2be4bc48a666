<script setup lang="ts">
import { usePhotos } from '../api/usePhotos'
import { tell } from '../words/words'

/** The photographs of a visit, to type a chart from: each opens in its full size. */
const props = defineProps<{ visit: string }>()
const photos = usePhotos(props.visit)
</script>

<template>
  <section
    v-if="photos.data.value?.length"
    :aria-label="tell('visitPhotos.photographsOfTheVisit')"
    data-test="visit-photos"
  >
    <h2 class="h5">{{ tell('visitPhotos.photographsOfTheVisit') }}</h2>
    <ul>
      <li v-for="p in photos.data.value" :key="p.id">
        <a :href="`/api/visits/${visit}/photos/${p.id}`" target="_blank" rel="noopener"
          ><img :src="`/api/visits/${visit}/photos/${p.id}`" :alt="p.label" :width="p.width" :height="p.height" />{{
            p.label
          }}</a
        >
      </li>
    </ul>
  </section>
</template>

<style scoped lang="scss">
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 1rem;
  list-style: none;
  padding: 0;
}
li {
  width: min(22rem, 100%);
}
img {
  display: block;
  width: 100%;
  height: auto;
  border: 1px solid var(--line);
}
</style>
