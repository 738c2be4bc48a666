import type { RungStep } from '../api/client'

export type Drawn = NonNullable<RungStep['by']>

const CIRCLE = 'M8 0a10 10 0 1 0 20 0a10 10 0 1 0 -20 0'
const BOX = 'M4 -8H32V8H4Z'

/** How each thing is drawn, on a level line of 36 pixels from the left; what can open as it is when it is closed. */
const PATHS: Record<Drawn, string> = {
  WIRE: 'M0 0H36',
  PIN: 'M0 0H14M10 -5L15 0L10 5M16 -5L21 0L16 5M21 0H36',
  SWITCH: 'M0 0H9M9 -2L27 -2M27 0H36M7 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0M25 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0',
  CONTACT: 'M0 0H36M14 -9V9M22 -9V9',
  FUSE: 'M0 0H6C9 -12 15 -12 18 0C21 12 27 12 30 0H36',
  COIL: `M0 0H8M28 0H36${CIRCLE}`,
  MOTOR: `M0 0H8M28 0H36${CIRCLE}M13 5V-5L18 2L23 -5V5`,
  HEATER: 'M0 0H5L7.5 -7L12 7L16 -7L20 7L24 -7L28.5 7L31 0H36',
  SENSOR: `M0 0H4M32 0H36${BOX}M4 8L32 -8`,
  CAPACITOR: 'M0 0H15M15 -9V9M21 -9V9M21 0H36',
  FLAME: 'M0 0H11M25 0H36M18 9C9 6 12 0 18 -10C20 -2 27 2 18 9Z',
  SOURCE: `M0 0H8M28 0H36${CIRCLE}M12 0C14 -6 16 -6 18 0C20 6 22 6 24 0`,
  WINDING: 'M0 0H4A4 4 0 0 1 12 0A4 4 0 0 1 20 0A4 4 0 0 1 28 0A4 4 0 0 1 32 0H36',
  ELECTRONICS: `M0 0H4M32 0H36${BOX}`,
  LOAD: `M0 0H4M32 0H36${BOX}M4 -8L32 8`,
}
const OPEN: Partial<Record<Drawn, string>> = {
  SWITCH: 'M0 0H9M9 0L26 -11M27 0H36M7 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0M25 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0',
  CONTACT: 'M0 0H14M22 0H36M14 -9V9M22 -9V9',
  PIN: 'M0 0H11M7 -5L12 0L7 5M20 -5L25 0L20 5M25 0H36',
  FUSE: 'M0 0H8M28 0H36M8 -4V4M28 -4V4',
}

/** The path of a symbol, as it stands. */
export const symbolPath = (symbol: Drawn, closed: boolean): string =>
  (closed ? undefined : OPEN[symbol]) ?? PATHS[symbol]

/** Whether the word for open or closed says something of it: a wire is always what it is. */
export const opens = (symbol: Drawn): boolean => symbol === 'SWITCH' || symbol === 'CONTACT'
