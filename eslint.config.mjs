import next from "eslint-config-next/core-web-vitals";
import nextTypescript from "eslint-config-next/typescript";

const config = [
  ...next,
  ...nextTypescript,
  {
    ignores: [
      ".next/**",
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
    // The core has no interface, no clock, no chance of its own: same job, same pattern.
    files: ["src/core/**/*.ts"],
    rules: {
      "no-restricted-globals": ["error", "window", "document", "navigator", "localStorage", "fetch"],
      "no-restricted-properties": [
        "error",
        { object: "Math", property: "random", message: "Anything that searches takes a seed." },
        { object: "Date", property: "now", message: "The core has no clock." },
      ],
    },
  },
];

export default config;
