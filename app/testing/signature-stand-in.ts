/** Tests have no canvas to draw on: one touch of the pad is one stroke. */
export default class SignaturePad {
  private readonly gone = new AbortController();

  constructor(private readonly canvas: HTMLCanvasElement) {}

  addEventListener(_event: 'endStroke', tell: () => void): void {
    this.canvas.addEventListener('pointerup', tell, { signal: this.gone.signal });
  }

  toData() {
    return [{ points: [10, 40, 70].map((x) => ({ x, y: x / 2 })) }];
  }

  off(): void {
    this.gone.abort();
  }
}
