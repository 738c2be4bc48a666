<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { samplesOf, SIDE, toTrace, type Patch } from './cameraSampler'
import { useHandle } from './handle'
import LampTrace from './LampTrace.vue'
import { useLampPreview } from './useLampPreview'
import { tell } from '../words/words'

const props = defineProps<{ board: string; marks: string[] }>()
const { add } = useHandle()
const preview = useLampPreview(String(useRoute().params.id))
const SECONDS = 14
/** The patch that is watched around the finger, of the width of the picture: a finger's own width to each side. */
const WATCHED = 0.2
const video = ref<HTMLVideoElement>()
const aspect = ref(4 / 3)
const refused = ref('')
const aim = ref<{ x: number; y: number } | null>(null)
const recorded = ref<number | null>(null)
const mark = ref('')
const positions = computed(() => props.marks.filter((m) => /^\d/.test(m)))
const coloured = computed(() => props.marks.some((m) => !/^\d/.test(m)))
const canvas = document.createElement('canvas')
canvas.width = canvas.height = SIDE
const picture = canvas.getContext('2d', { willReadFrequently: true })!
let stream: MediaStream | null = null
let times: number[] = []
let patches: Patch[] = []

onMounted(async () => {
  if (!navigator.mediaDevices?.getUserMedia) {
    refused.value = tell('lampCamera.thisDeviceHasNoCamera')
    return
  }
  try {
    stream = await navigator.mediaDevices.getUserMedia({
      video: { facingMode: 'environment', frameRate: { ideal: 30 } },
      audio: false,
    })
    video.value!.srcObject = stream
    await video.value!.play()
  } catch (why) {
    refused.value =
      why instanceof DOMException && why.name === 'NotFoundError'
        ? tell('lampCamera.noCameraWasFoundTap')
        : tell('lampCamera.theCameraWasRefusedAllow')
  }
})
onUnmounted(() => stream?.getTracks().forEach((t) => t.stop()))

/** Where the finger fell, in the pixels of the picture. */
function point(event: MouseEvent) {
  const box = video.value!.getBoundingClientRect()
  aim.value = {
    x: ((event.clientX - box.left) / box.width) * video.value!.videoWidth,
    y: ((event.clientY - box.top) / box.height) * video.value!.videoHeight,
  }
  void lockExposure()
}
/** Exposure that follows the lamp would hide its flashes; where the device can, it is held. */
async function lockExposure() {
  const track = stream?.getVideoTracks()[0]
  const can = track?.getCapabilities?.() as { exposureMode?: string[] } | undefined
  if (track && can?.exposureMode?.includes('manual'))
    await track
      .applyConstraints({ advanced: [{ exposureMode: 'manual' } as MediaTrackConstraintSet] })
      .catch(() => undefined)
}

function start() {
  times = []
  patches = []
  recorded.value = 0
  frame()
}
function frame() {
  const v = video.value
  if (!v || recorded.value === null) return
  const ask = (
    v as HTMLVideoElement & {
      requestVideoFrameCallback?: (cb: (now: number, meta: { captureTime?: number; mediaTime: number }) => void) => void
    }
  ).requestVideoFrameCallback
  if (ask) ask.call(v, (now, meta) => sample((meta.captureTime ?? now) / 1000))
  else requestAnimationFrame((now) => sample(now / 1000))
}
function sample(at: number) {
  const v = video.value
  if (!v || !aim.value || recorded.value === null) return
  const side = Math.max(SIDE, Math.round(v.videoWidth * WATCHED))
  picture.drawImage(v, aim.value.x - side / 2, aim.value.y - side / 2, side, side, 0, 0, SIDE, SIDE)
  times.push(at)
  patches.push(picture.getImageData(0, 0, SIDE, SIDE).data)
  recorded.value = at - times[0]!
  if (recorded.value >= SECONDS) void stop()
  else frame()
}
async function stop() {
  recorded.value = null
  if (times.length > 1) await preview.look(props.board, toTrace(times, samplesOf(patches), mark.value, coloured.value))
}
async function keep() {
  if (await add({ kind: 'FILM', board: props.board, trace: preview.trace.value! })) preview.drop()
}
</script>

<template>
  <section :aria-label="tell('lampCamera.lampByCamera')">
    <p v-if="refused" class="problem" role="alert" data-test="camera-refused">{{ refused }}</p>
    <template v-else>
      <LampTrace
        v-if="preview.reading.value && preview.trace.value"
        :trace="preview.trace.value"
        :reading="preview.reading.value"
        :notes="preview.notes.value"
        @keep="keep"
        @drop="preview.drop()"
      />
      <div v-show="!preview.reading.value">
        <p class="soft">{{ tell('lampCamera.holdItStillOrLean') }}</p>
        <div class="finder" :style="{ '--aspect': aspect }">
          <video
            ref="video"
            muted
            playsinline
            data-test="camera"
            @click="point"
            @loadedmetadata="aspect = video!.videoWidth / video!.videoHeight"
          ></video>
          <span
            v-if="aim && video"
            class="aim"
            :style="{ left: `${(100 * aim.x) / video.videoWidth}%`, top: `${(100 * aim.y) / video.videoHeight}%` }"
          ></span>
        </div>
        <div v-if="positions.length > 1" class="which" role="group" :aria-label="tell('lampCamera.whichLampIsIt')">
          <button
            v-for="m in positions"
            :key="m"
            type="button"
            class="key"
            :aria-pressed="mark === m"
            @click="mark = m"
          >
            {{ tell('lampCamera.lamp', { mark: m }) }}
          </button>
        </div>
        <p v-if="preview.problem.value" class="problem" role="alert">{{ preview.problem.value }}</p>
        <button
          v-if="recorded === null"
          type="button"
          class="key next wide"
          :disabled="!aim"
          data-test="record"
          @click="start"
        >
          {{ aim ? tell('lampCamera.recordS', { SECONDS }) : tell('lampCamera.touchTheLampFirst') }}
        </button>
        <button v-else type="button" class="key wide" data-test="stop-recording" @click="stop">
          <span class="num">{{ tell('lampCamera.ofSeconds', { recorded: recorded.toFixed(0), all: SECONDS }) }}</span>
        </button>
      </div>
    </template>
  </section>
</template>

<style scoped lang="scss">
/* the whole picture and the key below it stay in sight */
.finder {
  position: relative;
  width: min(100%, 45vh * var(--aspect));
  margin-inline: auto;
  border: 2px solid var(--line);
  line-height: 0;
}
video {
  width: 100%;
  cursor: crosshair;
}
.aim {
  position: absolute;
  width: 44px;
  height: 44px;
  margin: -22px 0 0 -22px;
  border: 3px solid var(--next);
  outline: 2px solid var(--paper);
  pointer-events: none;
}
.which {
  display: flex;
  gap: 6px;
  margin-top: 6px;
}
.wide {
  width: 100%;
  min-height: 56px;
  margin-top: 6px;
}
</style>
