/** Longest side of a kept photograph, pixels: a crack is still seen, and a job of twenty is still sent over a shop's net. */
const LONGEST = 1600;

/** A photograph as it is kept: upright, no larger than needed, and without the camera's notes of place and time. */
export async function shrunk(file: Blob): Promise<Blob> {
  const whole = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const share = Math.min(1, LONGEST / Math.max(whole.width, whole.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(whole.width * share));
  canvas.height = Math.max(1, Math.round(whole.height * share));
  canvas.getContext('2d')!.drawImage(whole, 0, 0, canvas.width, canvas.height);
  whole.close();
  return new Promise((kept, failed) =>
    canvas.toBlob((b) => (b ? kept(b) : failed(new Error('no picture'))), 'image/jpeg', 0.82)
  );
}
