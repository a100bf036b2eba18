import '../src/family/main.ts'
