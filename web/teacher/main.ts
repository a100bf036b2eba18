import '../src/shell/main.ts'
