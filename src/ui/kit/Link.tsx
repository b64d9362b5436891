import NextLink from "next/link";
import type { ComponentProps } from "react";

/**
 * A link within Ruchka. What it leads to is asked for when it is touched, not for every link that comes into view: a page has twenty, each
 * would be worked out by the farm's own small machine, and by the time it is touched it would tell of a minute ago.
 */
export const Link = (props: ComponentProps<typeof NextLink>) => <NextLink {...props} prefetch={false} />;
