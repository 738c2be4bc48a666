/** The longest side that is sent; the server keeps no more. */
const LONGEST = 1400
const QUALITY = 0.8

/** The size of a picture made small enough; one that is small stays as it is. */
export function fitted(width: number, height: number): { width: number; height: number } {
  const scale = Math.min(1, LONGEST / Math.max(width, height))
  return { width: Math.round(width * scale), height: Math.round(height * scale) }
}

/** A photograph drawn anew, small, without the camera's own data. What the browser cannot read is sent as it is: the server says why. */
export async function shrunk(file: File): Promise<Blob> {
  try {
    const bitmap = await createImageBitmap(file)
    const size = fitted(bitmap.width, bitmap.height)
    const canvas = new OffscreenCanvas(size.width, size.height)
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, size.width, size.height)
    bitmap.close()
    return await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY })
  } catch {
    return file
  }
}
