// A thread that reads one logger's file and answers with it; see readLogger.ts, which starts it. Plain JavaScript, since a thread gets no loader
// for TypeScript from whoever starts it and takes its own.
const { parentPort, workerData } = require("node:worker_threads");
require("tsx/cjs/api").register();
const { readLoggerFile } = require("../../formats/csv/loggerFile.ts");

parentPort.postMessage(readLoggerFile(workerData.text, workerData.zone));
