import type { ActError } from "@/contracts/answer";
import type { FilePreview } from "@/services/files";

export type FileLine =
  | { readonly type: "progress"; readonly done: number; readonly total: number }
  | { readonly type: "preview"; readonly value: FilePreview }
  | { readonly type: "written"; readonly value: { readonly written: number; readonly same: number } }
  | { readonly type: "failed"; readonly error: ActError };

/** Reads an answer that comes line by line, telling of each as it arrives. @returns the last line */
export async function readLines(
  body: ReadableStream<Uint8Array>,
  onLine: (line: FileLine) => void,
): Promise<FileLine | null> {
  const reader = body.getReader();
  const decoder = new TextDecoder();
  let rest = "";
  let last: FileLine | null = null;
  const take = (text: string) => {
    if (text.trim() === "") return;
    last = JSON.parse(text) as FileLine;
    onLine(last);
  };
  for (;;) {
    const { done, value } = await reader.read();
    rest += decoder.decode(value, { stream: !done });
    const lines = rest.split("\n");
    rest = lines.pop() ?? "";
    lines.forEach(take);
    if (done) break;
  }
  take(rest);
  return last;
}
