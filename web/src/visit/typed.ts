/** A number as it is sent: with the unit of the person behind it where that is not the meter's own, and none was typed. */
export function typedIn(behind: string, typed: string): string {
  const plain = typed.trim()
  return behind && /^[-+]?[0-9.,]+$/.test(plain) ? `${plain} ${behind}` : plain
}
