/** The longest side of a picture that goes into every report, pixels. */
const LONGEST_PX = 480;
/** The most that its data URL may come to, characters. */
const MOST_CHARS = 90_000;

/**
 * A picture made small enough to be kept as text with the firm: PNG where that is small, else JPEG on white.
 *
 * @throws when the file is no picture that this browser can read.
 */
export async function smallPicture(file: Blob): Promise<string> {
  const image = await createImageBitmap(file);
  const scale = Math.min(1, LONGEST_PX / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(image.width * scale));
  canvas.height = Math.max(1, Math.round(image.height * scale));
  const drawing = canvas.getContext('2d');
  if (!drawing) throw new Error('This browser cannot draw pictures.');
  drawing.drawImage(image, 0, 0, canvas.width, canvas.height);
  const png = canvas.toDataURL('image/png');
  if (png.length <= MOST_CHARS) return png;
  // What is clear in a PNG is white on paper.
  drawing.globalCompositeOperation = 'destination-over';
  drawing.fillStyle = '#ffffff';
  drawing.fillRect(0, 0, canvas.width, canvas.height);
  return canvas.toDataURL('image/jpeg', 0.8);
}
