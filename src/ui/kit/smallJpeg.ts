/** Longest side that is kept, px: enough to know a place again. */
const LONGEST_PX = 1280;
const QUALITY = 0.8;

/** Size that fits into a square, never larger than it is. @example fitInto(4000, 3000, 1280); // { width: 1280, height: 960 } */
export function fitInto(
  width: number,
  height: number,
  longest: number,
): { readonly width: number; readonly height: number } {
  const shrink = Math.min(1, longest / Math.max(width, height));
  return { width: Math.round(width * shrink), height: Math.round(height * shrink) };
}

/** @throws where the file is no picture */
async function smallJpeg(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file, { imageOrientation: "from-image" });
  const { width, height } = fitInto(picture.width, picture.height, LONGEST_PX);
  const canvas = document.createElement("canvas");
  canvas.width = width;
  canvas.height = height;
  canvas.getContext("2d")!.drawImage(picture, 0, 0, width, height);
  picture.close();
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error("no picture"))), "image/jpeg", QUALITY),
  );
}

/**
 * A photograph made small in the browser, turned as it was taken: a JPEG in base64, as an act carries it.
 * @throws where the file is no picture
 */
export async function photoOf(file: Blob): Promise<string> {
  const small = await smallJpeg(file);
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result).replace(/^data:[^,]*,/, ""));
    reader.onerror = () => reject(new Error("no picture"));
    reader.readAsDataURL(small);
  });
}
