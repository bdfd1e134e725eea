import next from "eslint-config-next/core-web-vitals";
import nextTypescript from "eslint-config-next/typescript";

const TEXT = "/^(id|name|label|move)$/";
const TEXT_TESTS = [
  `CallExpression[callee.property.name=/^(startsWith|endsWith|match|replace|split)$/][callee.object.property.name=${TEXT}]`,
  `CallExpression[callee.property.name=/^(test|exec)$/] > MemberExpression[property.name=${TEXT}]`,
  `BinaryExpression[operator=/^[!=]==$/][left.property.name=${TEXT}][right.type="Literal"]`,
  `SwitchStatement[discriminant.property.name=${TEXT}]`,
].map((selector) => ({ selector, message: "Let the data say what it is: add a field, and test that." }));

const config = [
  ...next,
  ...nextTypescript,
  {
    ignores: [
      ".next/**",
      ".workers/**",
      ".tests/**",
      "node_modules/**",
      "coverage/**",
      "test-results/**",
      "playwright-report/**",
      "bench/results/**",
      "next-env.d.ts",
    ],
  },
  {
    files: ["src/**/*.{ts,tsx}", "e2e/**/*.ts", "bench/**/*.ts"],
    rules: {
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_" }],
      "@typescript-eslint/consistent-type-imports": "error",
      eqeqeq: "error",
    },
  },
  {
    // What a thing is stands in its data: nothing is decided by the text of an id, a name or a label.
    files: ["src/**/*.{ts,tsx}"],
    ignores: ["**/*.test.{ts,tsx}"],
    rules: { "no-restricted-syntax": ["error", ...TEXT_TESTS] },
  },
  {
    // The core has no interface, no clock, no chance of its own: same job, same pattern.
    files: ["src/core/**/*.ts"],
    rules: {
      "no-restricted-globals": ["error", "window", "document", "navigator", "localStorage", "fetch", "performance"],
      "no-restricted-properties": [
        "error",
        { object: "Math", property: "random", message: "Anything that searches takes a seed." },
        { object: "Date", property: "now", message: "The core has no clock." },
      ],
    },
  },
  {
    // A function of the core is read on one screen.
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts", "src/core/testing/**"],
    rules: { "max-lines-per-function": ["error", { max: 80 }] },
  },
];

export default config;
