import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['**/*.cjs', '**/dist/**', '**/node_modules/**', '.odograph/**', 'demo/footage/**'] },
  ...tseslint.configs.recommendedTypeChecked,
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/prefer-nullish-coalescing': ['error', { ignorePrimitives: { boolean: true, string: true } }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      'max-lines': ['error', { max: 360, skipBlankLines: true, skipComments: true }],
      'no-console': 'error',
    },
  },
  { files: ['core/src/vocabulary/shipped.ts'], rules: { 'max-lines': 'off' } },
  // components are mostly what they show; all else is short
  {
    files: ['{core,server,demo,web}/src/**/*.ts', 'scripts/**/*.mjs'],
    rules: { 'max-lines-per-function': ['error', { max: 60, skipComments: true }] },
  },
  { files: ['web/src/**/*.tsx'], rules: { 'max-lines-per-function': ['error', { max: 150, skipComments: true }] } },
  // what is said stands in the texts of the folder
  {
    files: ['web/src/**/*.tsx'],
    ignores: ['**/*.test.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: 'JSXText[value=/[A-Za-z]{2}/]', message: 'Texts stand in *.text.ts.' },
        {
          selector:
            'JSXAttribute[name.name=/^(label|placeholder|title|aria-label|heading|help|hint|question|alt)$/] > Literal[value=/[A-Za-z]{2}/]',
          message: 'Texts stand in *.text.ts.',
        },
        {
          selector: ':matches(JSXElement, JSXFragment) > JSXExpressionContainer > Literal[value=/[A-Za-z]{2}/]',
          message: 'Texts stand in *.text.ts.',
        },
        {
          selector:
            ':matches(JSXElement, JSXFragment) > JSXExpressionContainer > TemplateLiteral > TemplateElement[value.raw=/[A-Za-z]{2}/]',
          message: 'Texts stand in *.text.ts.',
        },
        {
          selector:
            ':matches(JSXElement, JSXFragment) > JSXExpressionContainer > :matches(ConditionalExpression, LogicalExpression) > :matches(Literal[value=/[A-Za-z]{2}/], TemplateLiteral:has(TemplateElement[value.raw=/[A-Za-z]{2}/]))',
          message: 'Texts stand in *.text.ts.',
        },
        {
          selector:
            'JSXAttribute[name.name=options] > JSXExpressionContainer > ArrayExpression > ArrayExpression > Literal:nth-child(2)[value=/[A-Za-z]{2}/]',
          message: 'Texts stand in *.text.ts.',
        },
      ],
    },
  },
  // tables
  {
    files: [
      'core/src/formats/wordColumns.ts',
      'server/src/database/models.ts',
      'web/src/features/server/library.api.ts',
      'web/src/**/*.text.ts',
      '**/testing/**',
      '**/*.test.ts',
      '**/*.test.tsx',
    ],
    rules: { 'max-lines-per-function': 'off' },
  },
  { files: ['web/**/*.{ts,tsx}'], plugins: { 'react-hooks': hooks }, rules: hooks.configs.recommended.rules },
  // Nest asks for class values at run time: an import that looks like a type only is none there
  { files: ['server/**/*.ts'], rules: { '@typescript-eslint/consistent-type-imports': 'off' } },
  { files: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**/*.ts'], rules: { '@typescript-eslint/unbound-method': 'off' } },
  { files: ['**/*.mjs'], ...tseslint.configs.disableTypeChecked },
);
