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
            // The server decides what is expired, short, due or too heavy: the page compares no dates or quantities (ui/limits.ts).
            'no-restricted-syntax': [
                'error',
                {
                    selector:
                        'BinaryExpression[operator=/^[<>]=?$/]:matches([left.property.name=/(_on|_until|expires|expiry|^day|^date|due)$/], [right.property.name=/(_on|_until|expires|expiry|^day|^date|due)$/], [left.property.name=/^(effective|required|recorded|reserve|short|mass_g|max_mass_g|quantity)$/], [right.property.name=/^(effective|required|recorded|reserve|short|mass_g|max_mass_g)$/])',
                    message:
                        'The server decides this. Use its answer, or ui/limits.ts for a limit that is shown while somebody types.',
                },
            ],
            'max-lines': ['error', { max: 250, skipBlankLines: true, skipComments: true }],
        },
    },
    { files: ['resources/js/ui/limits.ts', '**/*.test.{ts,tsx}'], rules: { 'no-restricted-syntax': 'off' } },
    // All that a stage of the work says stands in one place, however much it is.
    { files: ['resources/js/**/words.ts'], rules: { 'max-lines': 'off' } },
);
