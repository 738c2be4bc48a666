import type { Outcome } from '../api/client'

/** How a visit may end, as it is chosen and as it is reported. */
export const outcomes: Record<Outcome, { choice: string; report: string }> = {
  FIXED: { choice: 'Fixed now', report: 'Fixed on this visit' },
  LEFT_RUNNING: { choice: 'Left running with', report: 'Left running, with what is said below' },
  SHUT_OFF: { choice: 'Shut off and tagged', report: 'Shut off and tagged' },
  MADE_SAFE: { choice: 'Made safe and left off', report: 'Made safe and left off' },
  PART_ORDERED: { choice: 'Part ordered, second trip', report: 'Part ordered, second trip' },
  LEFT_AS_FOUND: { choice: 'Left as found', report: 'Left as found' },
}
