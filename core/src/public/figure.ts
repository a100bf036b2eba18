// Figures: drawing and posing. Named exports only: anything not listed is internal.
export { floorY, type Point } from '../figure/body.ts'
export { children, type Child } from '../figure/parts.ts'
export { type Figure, type Pose } from '../figure/schema.ts'
export { secondView } from '../figure/secondView.ts'
export { keyMoments, pose, stillAt } from '../figure/pose.ts'
export { angleOf, angleTo, handles, mirrorPose, turnJoint, type Handle } from '../figure/turnJoint.ts'
export { drawFigure, type Drawing } from '../figure/drawFigure.ts'
export { figureSvg } from '../figure/figureSvg.ts'
