/** A picture made small enough to keep, by the browser's own decoder. */
import { newId } from '../api/device';

const longestPx = 1600;

/** JPEG of at most 1600 pixels a side; null when the file is no picture. */
async function scaledPicture(file: File): Promise<Blob | null> {
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) return null;
  const scale = Math.min(1, longestPx / Math.max(picture.width, picture.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(picture.width * scale)),
    Math.max(1, Math.round(picture.height * scale)),
  );
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 });
}

/** Null once it is stored, else why not. */
async function sendPicture(id: string, bytes: Blob): Promise<string | null> {
  const response = await fetch(`/api/pictures/${id}`, {
    method: 'PUT',
    credentials: 'same-origin',
    headers: { 'content-type': bytes.type },
    body: bytes,
  }).catch(() => null);
  if (response?.ok) return null;
  const refusal = (await response?.json().catch(() => null)) as { message: string } | null | undefined;
  return refusal?.message ?? 'No answer from the server: the picture is not stored';
}

/** Scaled and stored: the picture's id, or why it is not. */
export async function keepPicture(file: File): Promise<{ id: string } | { problem: string }> {
  const bytes = await scaledPicture(file);
  if (!bytes) return { problem: 'This file is no picture' };
  const id = newId();
  const refused = await sendPicture(id, bytes);
  return refused ? { problem: refused } : { id };
}
