export const SKILLS = ["beginner", "intermediate", "experienced"] as const;
export type Skill = (typeof SKILLS)[number];

/** Factor on hands-on minutes by skill. Our own kitchen figures. */
export const SKILL_FACTOR: Readonly<Record<Skill, number>> = { beginner: 1.5, intermediate: 1, experienced: 0.8 };
