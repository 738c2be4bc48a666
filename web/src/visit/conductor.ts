/** Conductor colours as the pack names them. They are used for conductors and nothing else. */
const COLOURS: Record<string, string> = {
  black: '#111111',
  white: '#ffffff',
  red: '#c8102e',
  blue: '#1f5fbf',
  green: '#1d8a3a',
  yellow: '#f2c200',
  orange: '#e8700a',
  brown: '#7a4a21',
  purple: '#7a3fa0',
  violet: '#7a3fa0',
  'light blue': '#6bb7e6',
  gray: '#8a8f91',
  pink: '#e58aa8',
  tan: '#d2b48c',
}

export function conductorColour(name: string): string {
  return COLOURS[name.trim().toLowerCase()] ?? 'transparent'
}

/** Names that can be drawn, for typing a diagram in. */
export const CONDUCTOR_COLOURS = Object.keys(COLOURS)
