/** Whether a write comes from our own pages; other sites' forms and scripts are told by the browser. */
export const isSameOrigin = (request: Request): boolean =>
  ["same-origin", "none", null].includes(request.headers.get("sec-fetch-site"));
