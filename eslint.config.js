import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import globals from 'globals';
import ts from 'typescript-eslint';
import vueParser from 'vue-eslint-parser';

export default ts.config(
    { ignores: ['resources/js/api/schema.ts'] },
    js.configs.recommended,
    ...ts.configs.strict,
    ...vue.configs['flat/recommended'],
    {
        files: ['resources/js/**/*.{ts,vue}', 'tests/{browser,front}/**/*.ts'],
        languageOptions: { globals: { ...globals.browser, ...globals.node }, parser: vueParser, parserOptions: { parser: ts.parser, sourceType: 'module' } },
        rules: { 'vue/multi-word-component-names': 'off', 'vue/require-default-prop': 'off' },
    },
    {
        files: ['resources/js/**/*.{ts,vue}'],
        rules: {
            // What a value is, the compiler finds out; nobody claims it.
            '@typescript-eslint/consistent-type-assertions': ['error', { assertionStyle: 'never' }],
        },
    },
    {
        files: ['resources/js/{places,ui,jar}/**/*.{ts,vue}'],
        rules: {
            // The API is asked in queries/ alone.
            'no-restricted-imports': ['error', { patterns: [{ group: ['**/api/client'], importNames: ['api', 'got', 'done'] }] }],
        },
    },
    prettier,
);
