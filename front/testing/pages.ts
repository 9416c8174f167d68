const pages: { unmount: () => void }[] = []
let told = (): void => {}

export const opened = (page: { unmount: () => void }): number => pages.push(page)

/** How what the server told is forgotten. */
export const forgetsBy = (forget: () => void): void => {
  told = forget
}

/** A test that is over leaves no page that would ask again, and nothing that the next would take for told. */
export function shut(): void {
  pages.splice(0).forEach((page) => page.unmount())
  told()
}
