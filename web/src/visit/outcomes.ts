import type { Outcome } from '../api/client'
import { tell } from '../words/words'

/** How a visit may end, as it is chosen and as it is reported. */
export const outcomes: Record<Outcome, { choice: string; report: string }> = {
  COMMISSIONED: { choice: tell('outcomes.commissioned'), report: tell('outcomes.commissioned') },
  FIXED: { choice: tell('outcomes.fixedNow'), report: tell('outcomes.fixedOnThisVisit') },
  LEFT_RUNNING: { choice: tell('outcomes.leftRunningWith'), report: tell('outcomes.leftRunningWithWhatIs') },
  SHUT_OFF: { choice: tell('outcomes.shutOffAndTagged'), report: tell('outcomes.shutOffAndTagged') },
  MADE_SAFE: { choice: tell('outcomes.madeSafeAndLeftOff'), report: tell('outcomes.madeSafeAndLeftOff') },
  PART_ORDERED: { choice: tell('outcomes.partOrderedSecondTrip'), report: tell('outcomes.partOrderedSecondTrip') },
  LEFT_AS_FOUND: { choice: tell('outcomes.leftAsFound'), report: tell('outcomes.leftAsFound') },
}
