/** A picture out of the farm's books; it never changes under its number. */
export const jpegResponse = (jpeg: Buffer | null): Response =>
  jpeg
    ? new Response(new Uint8Array(jpeg), {
        headers: {
          "content-type": "image/jpeg",
          "cache-control": "private, max-age=31536000, immutable",
          "x-content-type-options": "nosniff",
        },
      })
    : new Response("There is no such picture.", { status: 404 });
