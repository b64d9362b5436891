/** Pages that this device kept for when the farm is out of reach go with whoever signed out. What waits to be sent stays: it is theirs still. */
export async function forget(): Promise<void> {
  const names = await globalThis.caches?.keys().catch(() => []);
  await Promise.all((names ?? []).map((name) => caches.delete(name)));
}
