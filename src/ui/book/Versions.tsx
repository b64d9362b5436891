"use client";
import { useState } from "react";
import { findMethod } from "@/core/book";
import { bookDocument } from "@/core/recipe/document";
import { diffRecipes } from "@/core/recipe/diff";
import { fullDate } from "@/formats/times";
import type { BookView } from "@/services/book";
import { SelectField } from "../kit/fields";
import { Part } from "./MethodParts";
import { BookText } from "../kit/BookText";

/** What one version does otherwise than another. */
const Changes = ({ changes }: { readonly changes: ReturnType<typeof diffRecipes> }) => (
  <div role="region" aria-label="The difference" tabIndex={0} className="relative overflow-x-auto">
    <table aria-label="What differs" className="mt-3 w-full max-w-[900px] min-w-[480px]">
      <thead>
        <tr className="border-b-2 border-ink text-left text-[0.86rem] text-soft">
          <th className="font-normal">What</th>
          <th className="font-normal">Before</th>
          <th className="font-normal">After</th>
        </tr>
      </thead>
      <tbody>
        {changes.map(({ where, what, before: was, after }, index) => (
          <tr key={index} className="border-b border-line align-top">
            <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
              {what} <span className="font-normal text-soft">{where === "other" ? "" : where}</span>
            </th>
            <td className="py-1.5 pr-3">
              {was === null ? <span className="text-soft">not there</span> : <BookText>{was}</BookText>}
            </td>
            <td className="py-1.5 font-semibold">
              {after === null ? <span className="font-normal text-soft">gone</span> : <BookText>{after}</BookText>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  </div>
);

/** The farm's versions of a method's schools, and what any two of them do otherwise. */
export const Versions = ({ view, methodId }: { readonly view: BookView; readonly methodId: string }) => {
  const own = view.versions.filter((version) => version.methodId === methodId);
  const options = [
    ...findMethod(methodId).schools.map(({ id, name }) => ({
      key: id,
      label: `${name}, standard`,
      document: bookDocument(methodId, id),
    })),
    ...own.map(({ schoolId, versionNo, document }) => ({
      key: `${schoolId}/${versionNo}`,
      label: `${document.name}, own version ${versionNo}`,
      document,
    })),
  ];
  const last = own.at(-1);
  const before = own.findLast((version) => version !== last && version.schoolId === last?.schoolId);
  const [from, setFrom] = useState<string | null>(null);
  const [to, setTo] = useState<string | null>(null);
  if (options.length < 2) return null;
  const one =
    options.find(({ key }) => key === from) ??
    options.find(({ key }) => last && key === (before ? `${before.schoolId}/${before.versionNo}` : last.schoolId)) ??
    options[0]!;
  const other = options.find(({ key }) => key === to) ?? (last ? options.at(-1)! : options[1]!);
  const changes = diffRecipes(one.document, other.document);
  const select = (label: string, value: string, onPick: (key: string) => void) => (
    <SelectField label={label} value={value} onChange={(event) => onPick(event.target.value)}>
      {options.map(({ key, label: said }) => (
        <option key={key} value={key}>
          {said}
        </option>
      ))}
    </SelectField>
  );
  return (
    <Part title="Versions">
      {own.length > 0 ? (
        <ul className="mb-4 divide-y divide-line border-y border-line">
          {own.map(({ schoolId, versionNo, document, actorName, addedMs, unconfirmed }) => (
            <li key={`${schoolId} ${versionNo}`} className="py-1.5">
              <span className="font-semibold">
                {document.name}, own version {versionNo}
              </span>{" "}
              <span className="text-soft">
                by {actorName}, {fullDate(new Date(addedMs), view.farm)}
                {document.source ? `; from ${document.source}` : ""}
                {unconfirmed.length > 0 ? "; held, not confirmed" : ""}
              </span>
              {document.note ? <span className="block text-[0.95rem]">{document.note}</span> : null}
            </li>
          ))}
        </ul>
      ) : null}
      <div className="grid max-w-[720px] gap-3 sm:grid-cols-2">
        {select("From", one.key, setFrom)}
        {select("To", other.key, setTo)}
      </div>
      {changes.length === 0 ? <p className="mt-3 text-soft">They are the same.</p> : <Changes changes={changes} />}
    </Part>
  );
};
