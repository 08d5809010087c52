import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
    { ignores: ['resources/js/api/schema.d.ts'] },
    ...tseslint.configs.strictTypeChecked,
    {
        files: ['resources/js/**/*.{ts,tsx}'],
        plugins: { 'react-hooks': hooks },
        languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
        rules: {
            ...hooks.configs.recommended.rules,
            '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
            '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
            'max-lines': ['error', { max: 250, skipBlankLines: true, skipComments: true }],
        },
    },
    // All that a stage of the work says stands in one place, however much it is.
    { files: ['resources/js/**/words.ts'], rules: { 'max-lines': 'off' } },
);
