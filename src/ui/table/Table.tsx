"use client";
import { phrase } from "@/core/words";
import { select } from "d3-selection";
import { zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from "d3-zoom";
import { useCallback, useEffect, useEffectEvent, useMemo, useRef, useState, type ReactNode } from "react";
import type { Box } from "@/core/geometry";
import type { Tape } from "@/core/units";
import { FIT_EVENT } from "./fitEvent";

/** How the table is seen: screen = world * k + (x, y). */
export interface View {
  readonly k: number;
  readonly x: number;
  readonly y: number;
}

interface Props {
  readonly label: string;
  /** What should be in view at first and on fit, in millimetres. */
  readonly bounds: Box;
  /** Fits again whenever this changes. */
  readonly fitKey: string;
  readonly tape: Tape;
  /** Drawn in millimetres. */
  readonly children: ReactNode;
  /** Drawn in screen pixels, over the pattern. */
  readonly overlay?: (view: View) => ReactNode;
  readonly footer?: ReactNode;
}

const MARGIN = { top: 34, right: 44, bottom: 64, left: 62 };

/** Pattern paper: pans and zooms, with a cross every few centimetres or inches, true to scale. */
export function Table({ label, bounds, fitKey, tape, children, overlay, footer }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null);
  const [view, setView] = useState<View | null>(null);

  const fit = useEffectEvent(() => {
    const element = svg.current;
    if (!element || !behaviour.current || !Number.isFinite(bounds.left)) return;
    const { width, height } = element.getBoundingClientRect();
    const [wide, tall] = [Math.max(1, bounds.right - bounds.left), Math.max(1, bounds.bottom - bounds.top)];
    const k = Math.max(
      0.02,
      Math.min((width - MARGIN.left - MARGIN.right) / wide, (height - MARGIN.top - MARGIN.bottom) / tall),
    );
    const x = MARGIN.left + (width - MARGIN.left - MARGIN.right - wide * k) / 2 - bounds.left * k;
    const y = MARGIN.top - bounds.top * k;
    select(element).call(behaviour.current.transform, zoomIdentity.translate(x, y).scale(k));
  });

  useEffect(() => {
    const element = svg.current;
    if (!element) return;
    const zooming = zoom<SVGSVGElement, unknown>()
      .scaleExtent([0.02, 12])
      .filter((event: Event) => {
        if (event.type === "wheel") return (event as WheelEvent).ctrlKey;
        return !(event.target as Element).closest("[data-handle]") && (event as MouseEvent).button !== 2;
      })
      .on("zoom", ({ transform }: { transform: ZoomTransform }) =>
        setView({ k: transform.k, x: transform.x, y: transform.y }),
      );
    behaviour.current = zooming;
    const selection = select(element);
    selection.call(zooming).on("dblclick.zoom", null);
    // A plain wheel pans; with ctrl, or by pinching, it zooms.
    const pan = (event: WheelEvent): void => {
      if (event.ctrlKey) return;
      event.preventDefault();
      const { k } = view0(element);
      selection.call(zooming.translateBy, -event.deltaX / k, -event.deltaY / k);
    };
    element.addEventListener("wheel", pan, { passive: false });
    const observer = new ResizeObserver(() => fit());
    observer.observe(element);
    const refit = (): void => fit();
    window.addEventListener(FIT_EVENT, refit);
    return () => {
      element.removeEventListener("wheel", pan);
      observer.disconnect();
      window.removeEventListener(FIT_EVENT, refit);
      selection.on(".zoom", null);
    };
  }, []);

  useEffect(() => fit(), [fitKey]);

  const zoomBy = useCallback((factor: number) => {
    if (svg.current && behaviour.current) select(svg.current).call(behaviour.current.scaleBy, factor);
  }, []);

  const grid = useMemo(() => (view ? gridOf(view.k, tape) : null), [view, tape]);
  return (
    <div style={{ position: "relative", height: "100%", background: "var(--table)", overflow: "hidden" }}>
      <svg
        ref={svg}
        role="group"
        aria-label={label}
        width="100%"
        height="100%"
        style={{ display: "block", touchAction: "none", cursor: "grab" }}
        tabIndex={0}
        onKeyDown={(event) => {
          if (event.key === "+" || event.key === "=") zoomBy(1.25);
          if (event.key === "-") zoomBy(0.8);
        }}
      >
        {view && grid ? (
          <>
            <defs>
              <pattern
                id="crosses"
                width={grid.step * view.k}
                height={grid.step * view.k}
                patternUnits="userSpaceOnUse"
                patternTransform={`translate(${view.x} ${view.y})`}
              >
                <path
                  d="M0 -4V4M-4 0H4"
                  transform={`translate(${(grid.step * view.k) / 2} ${(grid.step * view.k) / 2})`}
                  stroke="var(--cross)"
                  fill="none"
                />
              </pattern>
              <pattern
                id="opened"
                width={7}
                height={7}
                patternUnits="userSpaceOnUse"
                patternTransform={`scale(${1 / view.k}) rotate(32)`}
              >
                <path d="M0 0V7" stroke="var(--chalk)" strokeWidth={1.1} strokeOpacity={0.75} />
              </pattern>
            </defs>
            <rect width="100%" height="100%" fill="url(#crosses)" />
            <g transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>{children}</g>
            {overlay?.(view)}
          </>
        ) : null}
      </svg>
      <div
        className="narrow"
        style={{
          position: "absolute",
          left: 18,
          right: 18,
          bottom: 12,
          color: "var(--quiet)",
          fontSize: 12,
          pointerEvents: "none",
          display: "flex",
          gap: 16,
          justifyContent: "space-between",
        }}
      >
        <span>{footer}</span>
        <span>{grid ? phrase`a cross every ${grid.text}` : ""}</span>
      </div>
    </div>
  );
}

function view0(element: SVGSVGElement): { readonly k: number } {
  const held = (element as unknown as { __zoom?: ZoomTransform }).__zoom;
  return { k: held?.k ?? 1 };
}

/** The step of the crosses: the finest of the tape's that leaves room between them. */
function gridOf(k: number, tape: Tape): { readonly step: number; readonly text: string } {
  const [small, large] = tape === "in" ? ([25.4, 127] as const) : ([20, 100] as const);
  return small * k >= 30
    ? { step: small, text: tape === "in" ? "1 in" : "2 cm" }
    : { step: large, text: tape === "in" ? "5 in" : "10 cm" };
}
