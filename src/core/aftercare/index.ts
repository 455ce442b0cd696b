export { type CareCalendar, careIcalendar } from './icalendar'
export { careMilestones, type LaidLayer, type Milestone } from './milestones'
