/** A photo for the book: upright, no longer than this on a side, and nothing of it but what is seen. */
const LONGEST_SIDE = 1600
const QUALITY = 0.85

/** Width and height at which a picture is sent. */
export function fitted(width: number, height: number): [number, number] {
  const share = Math.min(1, LONGEST_SIDE / Math.max(width, height))
  return [Math.max(1, Math.round(width * share)), Math.max(1, Math.round(height * share))]
}

/** As a data address; what this browser cannot read goes as it is, and the server says what it is. */
export async function photo(file: File): Promise<string> {
  try {
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
    const canvas = document.createElement('canvas')
    ;[canvas.width, canvas.height] = fitted(bitmap.width, bitmap.height)
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
    bitmap.close()
    return canvas.toDataURL('image/jpeg', QUALITY)
  } catch {
    return new Promise((resolve, reject) => {
      const reader = new FileReader()
      reader.onload = () => resolve(String(reader.result))
      reader.onerror = () => reject(reader.error ?? new Error('The file cannot be read.'))
      reader.readAsDataURL(file)
    })
  }
}
