package jalon.server.intake;

import jalon.server.Trouble;
import java.time.Duration;

/**
 * What came of looking at a channel once.
 *
 * @param again how soon it wants to be looked at again, or null for its usual time
 * @param problem what kept some of it from being taken, or null
 */
record ChannelVisit(int taken, int rejected, Duration again, Trouble problem) {}
