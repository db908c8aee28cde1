export { Broken as ErrorBoundary } from '../../session/Broken';
export { Frame as default } from '../../session/Frame';
