import { create } from 'zustand';

/** What the hand takes from the picture. */
export type Taking = 'colour' | 'length' | 'radius';

export interface ReferencePicture {
  name: string;
  /** Where the window has it: it is never sent. */
  address: string;
  pixels: ImageData;
}

interface Reference {
  picture: ReferencePicture | null;
  problem: string | null;
  isReading: boolean;
  /** How wide it is on the page, CSS px. */
  width: number;
  /** px from the page's top left. */
  x: number;
  y: number;
  /** %. */
  opacity: number;
  /** Whether what is the same is black. */
  differs: boolean;
  taking: Taking | null;
  /** What was taken last, as it is typed. */
  taken: string | null;
  read: (file: File, viewport: number) => Promise<void>;
  set: (change: Partial<Pick<Reference, 'width' | 'x' | 'y' | 'opacity' | 'differs' | 'taking' | 'taken'>>) => void;
  end: () => void;
}

const BEGIN = {
  picture: null,
  problem: null,
  isReading: false,
  width: 0,
  x: 0,
  y: 0,
  opacity: 50,
  differs: false,
  taking: null,
  taken: null,
};

/** As large as pictures of the shelf. */
const MOST_BYTES = 40_000_000;
const MOST_PIXELS = 64_000_000;

/** How many pixels of a screen a picture of one may have for each CSS px. */
const DENSITIES = [1, 1.5, 2, 3];

/** A picture that the stage is held against: for as long as the window shows the site, and in it alone. */
export const useReference = create<Reference>((set, get) => ({
  ...BEGIN,
  read: async (file, viewport) => {
    set({ isReading: true, problem: null });
    try {
      const picture = await readPicture(file);
      const before = get().picture;
      if (before) URL.revokeObjectURL(before.address);
      set({ picture, width: widthOn(picture.pixels.width, viewport), x: 0, y: 0 });
    } catch (wrong) {
      set({
        problem: wrong instanceof TooLarge ? wrong.message : `${file.name} is no picture that can be read: PNG, JPEG, WebP and SVG can.`,
      });
    } finally {
      set({ isReading: false });
    }
  },
  set: (change) => set(change),
  end: () => {
    const { picture } = get();
    if (picture) URL.revokeObjectURL(picture.address);
    set(BEGIN);
  },
}));

class TooLarge extends Error {}

async function readPicture(file: File): Promise<ReferencePicture> {
  if (file.size > MOST_BYTES) throw new TooLarge(`${file.name} is larger than ${MOST_BYTES / 1_000_000} MB.`);
  const address = URL.createObjectURL(file);
  try {
    const image = new Image();
    image.src = address;
    await image.decode();
    const [width, height] = [image.naturalWidth, image.naturalHeight];
    if (width * height > MOST_PIXELS) throw new TooLarge(`${file.name} has more than ${MOST_PIXELS / 1_000_000} million pixels.`);
    const canvas = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
    if (!canvas || width === 0 || height === 0) throw new Error();
    canvas.drawImage(image, 0, 0);
    return { name: file.name, address, pixels: canvas.getImageData(0, 0, width, height) };
  } catch (wrong) {
    URL.revokeObjectURL(address);
    throw wrong;
  }
}

/** A picture of a whole screen covers it, however many pixels that has; any other has its own size. */
export function widthOn(pixels: number, viewport: number): number {
  return DENSITIES.some((density) => pixels === viewport * density) ? viewport : pixels;
}

/** The colour of a pixel as hex; null where there is none, or where it is clear. */
export function colorAt({ data, width, height }: ImageData, x: number, y: number): string | null {
  const [column, row] = [Math.floor(x), Math.floor(y)];
  if (column < 0 || row < 0 || column >= width || row >= height) return null;
  const at = 4 * (row * width + column);
  if (data[at + 3] === 0) return null;
  return `#${[0, 1, 2].map((channel) => (data[at + channel] ?? 0).toString(16).padStart(2, '0')).join('')}`;
}

/** A length between two points as it is typed: along the side that is longer; of a corner the mean of both. */
export function lengthBetween(taking: 'length' | 'radius', from: { x: number; y: number }, to: { x: number; y: number }): string {
  const [across, down] = [Math.abs(to.x - from.x), Math.abs(to.y - from.y)];
  return `${Math.round(taking === 'radius' ? (across + down) / 2 : Math.max(across, down))}px`;
}
