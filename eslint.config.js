import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
    { ignores: ['resources/js/api/schema.generated.ts'] },
    js.configs.recommended,
    ...ts.configs.recommended,
    {
        files: ['resources/js/**/*.{ts,tsx}'],
        plugins: { 'react-hooks': hooks },
        rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
    },
    { files: ['**/*.mjs'], languageOptions: { globals: { console: 'readonly', process: 'readonly', performance: 'readonly' } } },
);
