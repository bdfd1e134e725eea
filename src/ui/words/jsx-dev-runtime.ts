/** The same as jsx-runtime, while the program is developed. */
import { jsxDEV as plainJsx } from "react/jsx-dev-runtime";
import { saidProps } from "./element";

export type { JSX } from "react/jsx-dev-runtime";
export { Fragment } from "react/jsx-dev-runtime";

export const jsxDEV: typeof plainJsx = (type, props, ...rest) => plainJsx(type, saidProps(props), ...rest);
