# Three figures of the Fruit place from the tables that Steady Trowel saves: put trials.csv and fruits.csv beside each other and run
#   Rscript figures.R folder
# Base R alone. Shares are bounded with the plant as the unit, as the app does (ratio estimator; Rao and Scott 1992).
folder <- commandArgs(trailingOnly = TRUE)
folder <- if (length(folder) == 0) "." else folder[1]
trials <- read.csv(file.path(folder, "trials.csv"), check.names = FALSE, na.strings = "")
fruits <- read.csv(file.path(folder, "fruits.csv"), check.names = FALSE, na.strings = "")

# 1. Set by variety.
verdict <- !is.na(trials$set) | trials$outcome %in% c("set", "harvested", "lost-later", "dropped")
judged <- trials[verdict, ]
judged$n <- judged$flowers
judged$k <- ifelse(is.na(judged$set), ifelse(judged$outcome == "dropped", 0, judged$flowers), judged$set)
judged$unit <- ifelse(is.na(judged[["plant id"]]), judged$trial, judged[["plant id"]])

score <- function(p, n, z) {
  centre <- (p + z^2 / (2 * n)) / (1 + z^2 / n)
  half <- z / (1 + z^2 / n) * sqrt(p * (1 - p) / n + z^2 / (4 * n^2))
  c(max(0, centre - half), min(1, centre + half))
}
by_plant <- function(rows) {
  k <- tapply(rows$k, rows$unit, sum)
  n <- tapply(rows$n, rows$unit, sum)
  p <- sum(k) / sum(n)
  plain <- score(p, sum(n), qnorm(0.975))
  m <- length(n)
  if (m < 2) return(c(sum(k), sum(n), p, plain))
  v <- m / (m - 1) * sum((k - p * n)^2) / sum(n)^2
  alone <- p * (1 - p) / sum(n)
  ratio <- if (alone > 0 && v > 0) v / alone else 1
  found <- score(p, sum(n) / ratio, qt(0.975, m - 1))
  c(sum(k), sum(n), p, min(plain[1], found[1]), max(plain[2], found[2]))
}
for (variety in unique(judged$variety)) {
  s <- by_plant(judged[judged$variety == variety, ])
  cat(sprintf("share\t%s\t%d\t%d\t%.10f\t%.10f\t%.10f\n", variety, s[1], s[2], s[3], s[4], s[5]))
}

# 2. Still hanging by the day (Kaplan and Meier), with each drop on the day of the look that found it.
at <- sort(unique(fruits[["by day"]][fruits$dropped == 1]))
hang <- 1
for (day in at) {
  risk <- sum(fruits[["by day"]] >= day)
  drops <- sum(fruits[["by day"]] == day & fruits$dropped == 1)
  hang <- hang * (1 - drops / risk)
  cat(sprintf("hang\t%d\t%d\t%.10f\n", day, risk, hang))
}

# 3. Set against the hour of the work (logistic regression, the hour alone).
timed <- judged[judged$kind == "flower" & !is.na(judged[["minutes after sunrise"]]), ]
if (nrow(timed) > 0) {
  fit <- glm(cbind(k, n - k) ~ minutes, binomial, data.frame(k = timed$k, n = timed$n, minutes = timed[["minutes after sunrise"]]))
  cat(sprintf("hour\t%.10f\t%.10f\n", coef(fit)[1], coef(fit)[2]))
}
