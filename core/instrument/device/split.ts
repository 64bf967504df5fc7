/** More without an end of line than this is noise: the wrong speed, or another kind of device. */
const LONGEST_REST = 400

/** Cuts what comes over a wire, in whatever pieces it comes, into whole lines. */
export class LineSplitter {
  private rest = ''
  /** Pieces thrown away for want of an end of line. */
  torn = 0

  push(text: string): string[] {
    const lines = (this.rest + text).split(/\r\n|\r|\n/)
    this.rest = lines.pop()!
    if (this.rest.length > LONGEST_REST) {
      this.rest = ''
      this.torn += 1
    }
    return lines.filter(line => line.trim() !== '')
  }
}
