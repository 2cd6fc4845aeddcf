export { gaugesToWatch, type Gauge } from './gauges';
export { loadRecheck, type Recheck, type RecheckRequest } from './load-recheck';
export { paceOf, type CounterReading } from './pace';
export { serviceDue, type ServiceDone, type ServiceDue, type ServiceRequest } from './service-due';
