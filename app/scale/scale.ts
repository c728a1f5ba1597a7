/** A scale that somebody has plugged in, as the program sees it: a real one would speak through a serial port. */
export interface Scale {
  /** How it is called where it is spoken of. */
  readonly name: string
  /**
   * Connects.
   *
   * @param line is told each line that the scale speaks (docs/scale-protocol.md), without its end
   * @param lost is told once when the connection has gone
   */
  connect(line: (text: string) => void, lost: () => void): ScaleConnection
}

export interface ScaleConnection {
  /** Makes what lies there now nothing. */
  tare(): void
  close(): void
}
