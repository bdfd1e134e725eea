"use client";
import { useRef, type KeyboardEvent } from "react";

/** A row of small tabs at the head of a pane; arrow keys go from one to the next, as in any row of tabs. */
export function PaneTabs<T extends string>(props: {
  readonly label: string;
  readonly value: T;
  readonly tabs: readonly (readonly [T, string])[];
  readonly onChange: (value: T) => void;
}) {
  const row = useRef<HTMLDivElement>(null);
  const { tabs, value, onChange } = props;

  function onKeyDown(event: KeyboardEvent): void {
    const at = tabs.findIndex(([own]) => own === value);
    const to = { ArrowRight: at + 1, ArrowLeft: at - 1, Home: 0, End: tabs.length - 1 }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    const index = (to + tabs.length) % tabs.length;
    onChange((tabs[index] as readonly [T, string])[0]);
    (row.current?.children[index] as HTMLElement | undefined)?.focus();
  }

  return (
    <div ref={row} role="tablist" aria-label={props.label} className="pane-tabs" onKeyDown={onKeyDown}>
      {tabs.map(([own, text]) => (
        <button
          key={own}
          type="button"
          role="tab"
          aria-selected={own === value}
          tabIndex={own === value ? 0 : -1}
          onClick={() => onChange(own)}
        >
          {text}
        </button>
      ))}
    </div>
  );
}
