package jalon.core.mark;

import jalon.core.page.Box;

/**
 * A patch code as it stands on the received image, its direction not yet settled.
 *
 * @param bars widths from the top (bars lying across) or from the left (bars standing)
 * @param standing whether the bars stand upright, so that the sheet was fed sideways
 * @param box in mm on the received image
 */
record PatchBars(String bars, boolean standing, Box box) {}
