declare module 'jstat' {
  interface Distribution {
    inv(p: number, ...parameters: number[]): number
  }
  const jstat: { beta: Distribution; studentt: Distribution; normal: Distribution }
  export default jstat
}
