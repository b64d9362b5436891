import { clsx } from "clsx";
import type { ButtonHTMLAttributes } from "react";

export type ButtonVariant = "strong" | "plain" | "quiet" | "danger";

export const buttonClass = (variant: ButtonVariant, wide = false): string =>
  clsx(
    "inline-flex min-h-11 items-center justify-center gap-2 rounded-[5px] border-[1.5px] px-3 text-[0.95rem] font-semibold leading-tight transition-colors",
    wide && "w-full",
    variant === "strong" && "border-ink bg-ink text-on-strong hover:bg-blue hover:border-blue",
    variant === "plain" && "border-ink bg-chalk text-ink hover:bg-marigold-wash",
    variant === "quiet" &&
      "border-transparent bg-transparent text-ink underline decoration-line decoration-2 underline-offset-4 hover:decoration-ink",
    variant === "danger" && "border-rust bg-chalk text-rust hover:bg-rust-wash",
    "disabled:border-line disabled:bg-limewash disabled:text-soft disabled:no-underline",
  );

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly variant?: ButtonVariant;
  readonly wide?: boolean;
}

export const Button = ({ variant = "plain", wide = false, className, type = "button", ...rest }: ButtonProps) => (
  <button type={type} className={clsx(buttonClass(variant, wide), className)} {...rest} />
);
