"use client";
import { mayAs, ROLES } from "@/core/people/roles";
import type { RoleLine } from "@/services/access";
import { MAY_WORDS, ROLE_MEANS, ROLE_WORDS } from "@/words/said";
import { Fold } from "../kit/Fold";

/** Every act by the roles that may it; what holds for one's own alone has a ring. */
export const RoleTable = ({ roles }: { readonly roles: readonly RoleLine[] }) => (
  <Fold title="What each role may do">
    <dl className="grid gap-1">
      {ROLES.map((role) => (
        <div key={role}>
          <dt className="inline font-semibold">{ROLE_WORDS[role]}: </dt>
          <dd className="inline">{ROLE_MEANS[role]}</dd>
        </div>
      ))}
    </dl>
    <div className="relative overflow-x-auto">
      <table className="w-full min-w-[34rem] text-[0.95rem]">
        <caption className="sr-only">What each role may do</caption>
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th scope="col">Act</th>
            {ROLES.map((role) => (
              <th key={role} scope="col" className="px-2 text-center">
                {ROLE_WORDS[role]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {roles.map(({ name, least, ofOthers }) => (
            <tr key={name} className="border-b border-line">
              <th scope="row" className="py-1 text-left font-normal">
                {MAY_WORDS[name] ?? name}
              </th>
              {ROLES.map((role) => (
                <td key={role} className="px-2 text-center">
                  {!mayAs(role, least) ? "–" : ofOthers !== null && !mayAs(role, ofOthers) ? "their own" : "yes"}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  </Fold>
);
