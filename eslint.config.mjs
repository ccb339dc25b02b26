import nextTypescript from "eslint-config-next/typescript";
import nextVitals from "eslint-config-next/core-web-vitals";
import jsdoc from "eslint-plugin-jsdoc";

/** What would make the core depend on the moment, on chance or on its surroundings. */
const IMPURE = [
  ...["window", "document", "process", "navigator", "localStorage"].map((name) => ({
    name,
    message: "The core knows no surroundings: take it as an argument.",
  })),
];
const IMPURE_CALLS = [
  { object: "Date", property: "now", message: "Time is an argument of core functions." },
  { object: "Math", property: "random", message: "Randomness is an argument of core functions." },
];

const config = [
  {
    ignores: [
      ".next/**",
      ".data/**",
      "node_modules/**",
      "coverage/**",
      "next-env.d.ts",
      "test-results/**",
      "playwright-report/**",
      "public/sw.js",
      "src/core/cover/solver-wasm.ts",
    ],
  },
  ...nextVitals,
  ...nextTypescript,
  {
    rules: {
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_" }],
      "@typescript-eslint/consistent-type-imports": ["error", { fixStyle: "inline-type-imports" }],
      eqeqeq: "error",
      complexity: ["error", 25],
      // The formatter sees to code and leaves comments alone.
      "max-len": ["error", { code: 1000, comments: 120, ignoreUrls: true }],
      "no-console": "off",
    },
  },
  {
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts"],
    plugins: { jsdoc },
    rules: {
      "no-restricted-globals": ["error", ...IMPURE],
      "no-restricted-properties": ["error", ...IMPURE_CALLS],
      "jsdoc/require-jsdoc": [
        "error",
        {
          publicOnly: true,
          require: { FunctionDeclaration: true, ClassDeclaration: true },
          contexts: [
            "ExportNamedDeclaration > TSInterfaceDeclaration",
            "ExportNamedDeclaration > TSTypeAliasDeclaration",
          ],
        },
      ],
    },
  },
];

export default config;
