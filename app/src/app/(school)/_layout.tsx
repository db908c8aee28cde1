export { BrokenScreen as ErrorBoundary } from '../../shell/Broken';
export { Frame as default } from '../../shell/Frame';
