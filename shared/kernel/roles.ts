/** What somebody in the collection may do, by and large; commands name the roles that may send them. */
export const roles = ['coordinator', 'volunteer', 'reader'] as const
export type Role = (typeof roles)[number]
export const roleNames: Record<Role, string> = { coordinator: 'Coordinator', volunteer: 'Volunteer', reader: 'Reader' }

export const atTheBench: readonly Role[] = ['coordinator', 'volunteer']
export const everybody: readonly Role[] = roles
export const coordinator: readonly Role[] = ['coordinator']
