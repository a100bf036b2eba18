import '../src/teacher/main.ts'
