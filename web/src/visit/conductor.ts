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
  gray: '#8a8f91',
}

export function conductorColour(name: string): string {
  return COLOURS[name] ?? 'transparent'
}
