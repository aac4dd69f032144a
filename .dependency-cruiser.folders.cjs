// Folders don't know each other in a circle either, tests and what is only for tests apart. `npm run layers` fails on the first that do.
module.exports = {
  forbidden: [{ name: 'no-folder-cycles', severity: 'error', scope: 'folder', from: {}, to: { circular: true } }],
  options: {
    doNotFollow: { path: 'node_modules|/dist/' },
    exclude: { path: 'node_modules|/dist/|\\.test\\.tsx?$|/testing/' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['types', 'import', 'default'] },
  },
};
