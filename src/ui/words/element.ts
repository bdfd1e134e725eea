import type { ReactNode } from "react";
import { inTongue, rewordedTemplate, isTranslated } from "@/core/words";

/** What an element says in these of its properties is for a reader. */
const SAID_IN = [
  "label",
  "aria-label",
  "aria-roledescription",
  "aria-description",
  "title",
  "placeholder",
  "alt",
  "helperText",
  "message",
] as const;

/** More pieces of text in one element than this are taken one by one. */
const MOST_TEXTS = 9;

type Props = Readonly<Record<string, unknown>>;

/** The properties of an element with all that it says in the tongue that is spoken. */
export function saidProps<P>(props: P): P {
  if (!isTranslated()) return props;
  const own = props as Props;
  if (own.translate === "no") return props;
  let said: Record<string, unknown> | null = null;
  for (const name of SAID_IN) {
    const text = own[name];
    if (typeof text === "string") (said ??= { ...own })[name] = inTongue(text);
  }
  if (isRecord(own.slotProps)) {
    const slots = Object.entries(own.slotProps).map(([slot, of]) => [slot, isRecord(of) ? saidProps(of) : of]);
    (said ??= { ...own }).slotProps = Object.fromEntries(slots);
  }
  if (hasText(own.children)) (said ??= { ...own }).children = saidChildren(own.children as ReactNode);
  return (said ?? props) as P;
}

const isRecord = (value: unknown): value is Props => typeof value === "object" && value !== null;

const hasText = (children: unknown): boolean =>
  typeof children === "string" || (Array.isArray(children) && children.some((child) => typeof child === "string"));

function saidChildren(children: ReactNode): ReactNode {
  if (typeof children === "string") return inTongue(children);
  const parts = children as readonly ReactNode[];
  return asTemplate(parts) ?? parts.map((part) => (typeof part === "string" ? inTongue(part) : part));
}

/**
 * Text with elements in it ("Saved <b>3</b> ago") in the order of the other tongue; null where it has no words for it as a
 * whole. Which texts are the sentence's own and which are put into it cannot be seen here, so as many as can be are
 * taken for its own.
 */
function asTemplate(parts: readonly ReactNode[]): ReactNode[] | null {
  const texts = parts.flatMap((part, i) => (typeof part === "string" ? [i] : []));
  if (texts.length > MOST_TEXTS) return null;
  for (const putIn of subsets(texts)) {
    const english = [""];
    const places: ReactNode[] = [];
    parts.forEach((part, i) => {
      if (typeof part === "string" && !putIn.has(i)) english[english.length - 1] += part;
      else {
        places.push(typeof part === "string" ? inTongue(part) : part);
        english.push("");
      }
    });
    const order = rewordedTemplate(english);
    if (order) return order.map((part) => (typeof part === "string" ? part : places[part]));
  }
  return null;
}

/** All choices among some places, those of few first. */
const subsets = (of: readonly number[]): ReadonlySet<number>[] =>
  Array.from({ length: 2 ** of.length }, (_, bits) => new Set(of.filter((_at, i) => (bits >> i) & 1))).sort(
    (a, b) => a.size - b.size,
  );
