import type { ReactNode } from "react";

interface Props {
  readonly isHere: boolean;
  readonly onPress: () => void;
  readonly onFocus?: () => void;
  readonly children: ReactNode;
}

/** A row of a list that is pressed as a whole; the one that is shown is heavy. */
export function RowButton({ isHere, onPress, onFocus, children }: Props) {
  return (
    <button
      type="button"
      aria-current={isHere ? "step" : undefined}
      onClick={onPress}
      onFocus={onFocus}
      style={{
        all: "unset",
        cursor: "pointer",
        display: "flex",
        justifyContent: "space-between",
        width: "100%",
        padding: "7px 0",
        fontWeight: isHere ? 700 : 450,
      }}
    >
      {children}
    </button>
  );
}
