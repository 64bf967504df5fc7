let script: string | null = null

export const setBootScript = (text: string) => {
  script = text
}
export const bootScript = () => script
