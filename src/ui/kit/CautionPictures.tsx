import { type CautionId, CAUTIONS } from "@/core/book/cautions";
import { CAUTION_ICONS } from "./Cautions";

/** The dangers of a thing as pictures alone, for who does not read the language; each has its words for a screen reader. */
export const CautionPictures = ({
  cautions,
  className = "size-7",
}: {
  readonly cautions: readonly CautionId[];
  readonly className?: string;
}) => {
  const shown = cautions.flatMap((caution) => {
    const Icon = CAUTION_ICONS[caution];
    return Icon ? [{ caution, Icon }] : [];
  });
  // Two cautions may share a picture; it is drawn once.
  const once = shown.filter(({ Icon }, index) => shown.findIndex((other) => other.Icon === Icon) === index);
  return once.length === 0 ? null : (
    <span className="inline-flex flex-wrap gap-2">
      {once.map(({ caution, Icon }) => (
        <span key={caution} role="img" aria-label={CAUTIONS[caution].split(/[.:;]/)[0]} className="inline-block">
          <Icon aria-hidden className={className} strokeWidth={2.2} />
        </span>
      ))}
    </span>
  );
};
