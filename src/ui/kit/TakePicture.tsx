"use client";
import { Camera } from "lucide-react";
import { useRef } from "react";
import { Button } from "./Button";

interface TakePictureProps {
  /** What the picture is of, for who can't see the button. */
  readonly of: string;
  readonly label: string;
  readonly disabled?: boolean;
  readonly onTaken: (file: File) => void;
}

/** A button that takes a picture with the phone, or picks one on a laptop. */
export const TakePicture = ({ of, label, disabled = false, onTaken }: TakePictureProps) => {
  const file = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={file}
        type="file"
        accept="image/*"
        capture="environment"
        className="sr-only"
        aria-label={of}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          event.target.value = "";
          if (chosen) onTaken(chosen);
        }}
      />
      <Button disabled={disabled} onClick={() => file.current?.click()}>
        <Camera aria-hidden className="size-5" />
        {label}
      </Button>
    </>
  );
};
