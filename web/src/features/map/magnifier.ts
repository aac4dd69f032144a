import { zoomed } from './zoom.js';

/** A hand that has not moved for so long rests. */
const REST_MS = 150;

/**
 * Shows what is drawn larger or smaller: only its size on the screen is changed, never what is drawn, so that it follows the hand however much there is. `frame` is what
 * is looked through, `room` as large as what could be seen, `picture` what is drawn.
 */
export class Magnifier {
  private looked: HTMLElement | null = null;
  private room: HTMLElement | null = null;
  private picture: HTMLElement | null = null;
  private now = 1;
  private sharpening: ReturnType<typeof setTimeout> | undefined;
  private readonly told = new Set<() => void>();

  throughFrame(element: HTMLElement | null): void {
    this.looked = element;
  }
  inRoom(element: HTMLElement | null): void {
    this.room = element;
  }
  atPicture(element: HTMLElement | null): void {
    this.picture = element;
  }

  /** What is looked through, where it's there. */
  get frame(): HTMLElement | null {
    return this.looked;
  }

  readonly zoom = (): number => this.now;
  readonly isLarger = (): boolean => this.now > 1;

  readonly subscribe = (tell: () => void): (() => void) => {
    this.told.add(tell);
    return () => void this.told.delete(tell);
  };

  /** By a factor, round a point of the screen or the middle of what is seen. */
  by(factor: number, at?: { readonly clientX: number; readonly clientY: number }): void {
    if (!this.looked) return;
    const { left, top, width, height } = this.looked.getBoundingClientRect();
    const { scrollLeft, scrollTop } = this.looked;
    const point = at ? { x: at.clientX - left, y: at.clientY - top } : { x: width / 2, y: height / 2 };
    const to = zoomed({ zoom: this.now, left: scrollLeft, top: scrollTop }, factor, point);
    this.lay(to.zoom, to.left, to.top);
  }

  /** Back to its own size. */
  rest(): void {
    this.lay(1, 0, 0);
  }

  private lay(zoom: number, left: number, top: number): void {
    const { looked: frame, room, picture } = this;
    if (!frame || !room || !picture) return;
    this.now = zoom;
    // asked before anything is changed: so the page is laid out once
    const { offsetWidth: width, offsetHeight: height } = picture;
    // while the hand moves the picture is only stretched; it is drawn sharp as soon as it rests
    clearTimeout(this.sharpening);
    picture.style.willChange = 'transform';
    this.sharpening = setTimeout(() => (picture.style.willChange = ''), REST_MS);
    picture.style.transform = zoom === 1 ? '' : `scale(${zoom})`;
    room.style.width = zoom === 1 ? '' : `${width * zoom}px`;
    room.style.height = zoom === 1 ? '' : `${height * zoom}px`;
    frame.style.overflowY = zoom > 1 ? 'auto' : 'hidden';
    frame.scrollTo({ left, top });
    for (const tell of this.told) tell();
  }
}
