/** Every element of the interface is made here, so that what it says is said in the tongue that is spoken. */
import type { ElementType, Key, ReactElement } from "react";
import { jsx as plainJsx, jsxs as plainJsxs } from "react/jsx-runtime";
import { saidProps } from "./element";

export type { JSX } from "react/jsx-runtime";
export { Fragment } from "react/jsx-runtime";

export const jsx = (type: ElementType, props: unknown, key?: Key): ReactElement =>
  plainJsx(type, saidProps(props), key);
export const jsxs = (type: ElementType, props: unknown, key?: Key): ReactElement =>
  plainJsxs(type, saidProps(props), key);
