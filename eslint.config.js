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
    prettier,
);
