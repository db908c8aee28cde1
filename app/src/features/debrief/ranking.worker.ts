import { type ToWeigh, weighed } from './weigh';

self.onmessage = (event: MessageEvent<ToWeigh>) => self.postMessage(weighed(event.data));
