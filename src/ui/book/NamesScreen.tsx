"use client";
import { useState } from "react";
import { findMethod } from "@/core/book";
import { CLAIMS } from "@/core/book/claims";
import { familyTree, type FamilyBranch } from "@/core/book/family";
import { GROWERS_NAMES, type GrowersName } from "@/core/book/growersNames";
import { sayLookAlike } from "@/words/said";
import { BookText } from "../kit/BookText";
import { TextField } from "../kit/fields";
import { Link } from "../kit/Link";
import { Claims } from "./Claims";

const TREE = familyTree();

/** A method that a name may mean, with the four things that tell it from its like. */
const Meaning = ({ id }: { readonly id: string }) => {
  const { name, lookAlike } = findMethod(id);
  return (
    <li>
      <Link href={`/book/${id}`} className="thumb font-semibold underline">
        {name}
      </Link>
      <span className="text-soft">
        {" "}
        <BookText>{sayLookAlike(lookAlike)}</BookText>
      </span>
    </li>
  );
};

const Names = ({ names }: { readonly names: readonly GrowersName[] }) => (
  <dl className="grid gap-3">
    {names.map(({ name, methodIds }) => (
      <div key={name} className="border-b border-line pb-3">
        <dt className="font-bold">
          {name}
          {methodIds.length > 1 ? (
            <span className="font-semibold text-rust"> ▲ may mean {methodIds.length} different things</span>
          ) : null}
        </dt>
        <dd>
          <ul>
            {methodIds.map((id) => (
              <Meaning key={id} id={id} />
            ))}
          </ul>
        </dd>
      </div>
    ))}
  </dl>
);

const Branches = ({ branches }: { readonly branches: readonly FamilyBranch[] }) => (
  <ul className="ml-2 border-l-2 border-line pl-4">
    {branches.map(({ method, branches: below }) => (
      <li
        key={method.id}
        className="relative py-1 before:absolute before:-left-4 before:top-4 before:w-3 before:border-t-2 before:border-line"
      >
        <Link href={`/book/${method.id}`} className="thumb underline">
          {method.name}
        </Link>
        {below.length > 0 ? <Branches branches={below} /> : null}
      </li>
    ))}
  </ul>
);

/** Growers' names for the products, what each is made from, and what is said of them. */
export const NamesScreen = () => {
  const [typed, setTyped] = useState("");
  const wanted = typed.trim().toLowerCase();
  const names = GROWERS_NAMES.filter(
    ({ name, methodIds }) =>
      name.includes(wanted) || methodIds.some((id) => findMethod(id).name.toLowerCase().includes(wanted)),
  );
  const families = TREE.filter(({ branches }) => branches.length > 0);
  const alone = TREE.filter(({ branches }) => branches.length === 0);
  return (
    <div className="mx-auto max-w-[1240px] px-4 py-5 md:px-8">
      <h1 className="text-2xl">Names and family tree</h1>
      <p className="text-soft">One name can mean different things. Sugar, water, air and time tell them apart.</p>
      <div className="mt-4 grid gap-x-10 gap-y-8 lg:grid-cols-2">
        <section aria-label="What growers call it" className="grid content-start gap-4">
          <h2 className="border-b-2 border-ink pb-1 text-xl">What growers call it</h2>
          <TextField label="Find a name" value={typed} onChange={(event) => setTyped(event.target.value)} />
          {names.length > 0 ? <Names names={names} /> : <p>No such name. Look through the methods, or type less.</p>}
        </section>
        <div className="grid content-start gap-8">
          <section aria-label="Family tree">
            <h2 className="mb-2 border-b-2 border-ink pb-1 text-xl">Family tree</h2>
            <p className="mb-2 text-soft">Below each product is what is made from it.</p>
            {families.map(({ method, branches }) => (
              <div key={method.id} className="mb-3">
                <Link href={`/book/${method.id}`} className="thumb font-semibold underline">
                  {method.name}
                </Link>
                <Branches branches={branches} />
              </div>
            ))}
            <h3 className="mt-2 font-semibold">Made from raw ingredients only</h3>
            <ul className="flex flex-wrap gap-x-4">
              {alone.map(({ method }) => (
                <li key={method.id}>
                  <Link href={`/book/${method.id}`} className="thumb inline-block py-1 underline">
                    {method.name}
                  </Link>
                </li>
              ))}
            </ul>
          </section>
          <section aria-label="What people say">
            <h2 className="mb-2 border-b-2 border-ink pb-1 text-xl">What people say</h2>
            <Claims claims={CLAIMS} />
          </section>
        </div>
      </div>
    </div>
  );
};
