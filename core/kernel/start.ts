const compiled = new Map<string, WebAssembly.Module>()

/**
 * A fresh instance of a compiled kernel with a memory of its own, of at least `bytes`; freed with the instance.
 * @throws where the browser has no vectors of four numbers, or compiles nothing
 */
export function startModule<Exports extends { memory: WebAssembly.Memory }>(base64: string, bytes: number): Exports {
  let code = compiled.get(base64)
  if (!code) {
    code = new WebAssembly.Module(Uint8Array.from(atob(base64), letter => letter.charCodeAt(0)))
    compiled.set(base64, code)
  }
  const kernel = new WebAssembly.Instance(code).exports as unknown as Exports
  const pages = Math.ceil(bytes / 65536) - kernel.memory.buffer.byteLength / 65536
  if (pages > 0) kernel.memory.grow(pages)
  return kernel
}
