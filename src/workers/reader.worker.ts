import { BarcodeDetector, prepareZXingModule } from 'barcode-detector/ponyfill';
import { expose } from 'comlink';

// The reader ships with the app; by itself it would ask the network for it.
prepareZXingModule({ overrides: { locateFile: () => '/fonts/code-reader.wasm' } });
const detector = new BarcodeDetector({ formats: ['qr_code'] });

/** Finds the square codes in a picture, off the interface's thread. */
const reader = {
  read: async (picture: ImageData): Promise<readonly string[]> =>
    (await detector.detect(picture)).map(({ rawValue }) => rawValue),
};

export type CodeReader = typeof reader;
expose(reader);
