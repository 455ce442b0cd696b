/** How to read the tables a shop takes with it. */
export const READ_ME = `Each file is one table; its first line names the columns. The text is UTF-8, cells are parted by commas, and a cell
that begins like a formula has an apostrophe before it.

Moments are in UTC (2027-01-12T09:30:00.000Z), days as year-month-day. Money is in the smallest unit of the currency: cents.
A column that ends in _x10 holds ten times what it names, so that 0.1 is kept exactly: film_um_x10 1043 is 104.3 µm.
Other units stand in the names: um, ml, km, m. What ends in _id is the id of a row in another table.
`
